import { markingFor, type MarkingRequest, markingLine, toneOf } from './marking';

const ask = (part: Partial<MarkingRequest> = {}): MarkingRequest => ({
  technique: 'feathers',
  cloths: [{ id: 'f1', kind: 'quilting-cotton', name: 'Fog', hex: '#e8e6df', busyness: 0 }],
  batting: 'cotton-80-20',
  daysTillSewn: 0,
  mayBeWet: true,
  excluded: ['light', 'soluble-film'],
  tests: [],
  edgeIn: 80,
  spacingIn: 0.5,
  sewnIn: 600,
  areaIn2: 300,
  ...part,
});
const ids = (r: Partial<MarkingRequest> = {}) => markingFor(ask(r)).picks.map((p) => p.marker.id);
const why = (id: string, r: Partial<MarkingRequest> = {}) =>
  markingFor(ask(r)).refused.find((x) => x.marker.id === id)?.why;
const cloth = (part: Partial<MarkingRequest['cloths'][number]>) => ({ ...ask().cloths[0]!, ...part });

describe('with what a zone is marked', () => {
  test('light, mid and dark by lightness; unknown where no colour is known', () => {
    expect([toneOf('#ffffff'), toneOf('#777777'), toneOf('#101820'), toneOf(null)]).toEqual([
      'light',
      'mid',
      'dark',
      null,
    ]);
  });

  test('on a pale plain cotton pens and creases do, chalk and wax do not show', () => {
    expect(ids()).toEqual(['crease', 'air-pen', 'water-pen', 'heat-pen']);
    expect(why('chalk')).toContain('light');
  });

  test('on a dark one chalk and pencil do', () => {
    const dark = { cloths: [cloth({ hex: '#16202b' })] };
    expect(ids(dark)).toContain('chalk');
    expect(ids(dark)).not.toContain('air-pen');
  });

  test('it must show on every fabric of the zone', () => {
    const both = { cloths: [cloth({}), cloth({ id: 'f2', name: 'Ink', hex: '#101010' })] };
    expect(ids(both)).not.toContain('air-pen');
    expect(ids(both)).not.toContain('chalk');
    expect(ids(both)).toContain('heat-pen');
  });

  test('a busy print swallows what is drawn; tape stays to be seen', () => {
    expect(ids({ cloths: [cloth({ busyness: 3 })], technique: 'grid' })).toEqual(['tape']);
  });

  test('what is drawn before loading has to last till it is sewn, twice over', () => {
    const t = markingFor(ask({ daysTillSewn: 30 }));
    // A spine is marked at the machine: a month on the Rack does not wear it off.
    expect(t.picks.map((p) => p.marker.id)).toContain('air-pen');
    expect(t.picks.every((p) => p.when === 'at-machine')).toBe(true);
    const full = markingFor(ask({ beginner: true, daysTillSewn: 3 }));
    expect(full.marks).toBe('full');
    expect(full.picks.find((p) => p.marker.id === 'water-pen')!.when).toBe('before-loading');
    expect(full.refused.find((r) => r.marker.id === 'air-pen')!.why).toContain('gone before');
  });

  test('a client who wants no water is not given it; one who was not asked is asked', () => {
    expect(ids({ mayBeWet: false })).not.toContain('water-pen');
    expect(
      markingFor(ask({ mayBeWet: null })).picks.find((p) => p.marker.id === 'water-pen')!.askClient,
    ).toBe(true);
  });

  test('what a scrap said overrules: gone needs no test, a ghost comes last, what stays is refused', () => {
    const said = (marker: string, outcome: 'gone' | 'ghost' | 'stays') => ({
      tests: [{ fabricId: 'f1', marker, outcome }],
    });
    expect(markingFor(ask(said('crease', 'gone'))).picks[0]!.untested).toEqual([]);
    expect(ids(said('crease', 'ghost')).at(-1)).toBe('crease');
    expect(why('crease', said('crease', 'stays'))).toContain('scrap');
    const again = {
      tests: [
        { fabricId: 'f1', marker: 'crease', outcome: 'stays' as const },
        { fabricId: 'f1', marker: 'crease', outcome: 'gone' as const },
      ],
    };
    expect(ids(again)).toContain('crease');
  });

  test('silk and satin keep away from pens, pile from nearly everything', () => {
    expect(ids({ cloths: [cloth({ kind: 'silk' })] })).not.toContain('air-pen');
    expect(ids({ cloths: [cloth({ kind: 'plush' })] })).toEqual(['water-pen']);
  });

  test('a stencil is quicker than drawing it all', () => {
    const dark = { cloths: [cloth({ hex: '#16202b' })], beginner: true };
    const chalk = markingFor(ask(dark)).picks.find((p) => p.marker.id === 'chalk')!;
    const pencil = markingFor(ask(dark)).picks.find((p) => p.marker.id === 'ceramic-pencil')!;
    expect(chalk.minutes).toBeLessThan(pencil.minutes);
    expect(chalk.when).toBe('at-machine');
  });

  test('nothing is marked for what fills by eye or follows a seam', () => {
    for (const technique of ['ditch', 'meander-medium', 'pebbles', 'web'])
      expect(markingFor(ask({ technique, beginner: true })).picks).toEqual([]);
  });

  test('one line for the card', () => {
    expect(markingLine(markingFor(ask()))).toBe(
      'Mark: a spine, with crease, tested on a scrap first, as each pass comes up.',
    );
  });
});
