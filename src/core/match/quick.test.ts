import fc from 'fast-check';
import { CoreError } from '../notes';
import { battings } from '../tables/battings';
import { fabrics } from '../tables/fabrics';
import { techniques } from '../tables/techniques';
import { scalesOf } from '../machine/scales';
import { shelf } from '../testing/a-shelf';
import { type QuickAsk, quickSetup, type QuickStudio } from './quick';

const nothing: QuickStudio = { machine: null, threads: [], needles: [], tensionSchool: 'both', scales: {} };
const ask = (part: Partial<QuickAsk> = {}): QuickAsk => ({
  fabric: 'quilting-cotton',
  batting: 'cotton-80-20',
  technique: 'meander-medium',
  backing: 'quilting-cotton',
  thread: '',
  use: 'bed',
  visibility: 'texture',
  ...part,
});

test('with nothing at all there is a set-up, and what was assumed is told', () => {
  const told = quickSetup(ask(), nothing);
  expect(told.top.name).toBe('40 wt polyester');
  expect(told.setup.needle.nm).toBe(100);
  expect(told.assumed.join()).toMatch(/usual kind.*any shop has.*Nm 80 to 120.*spacing/);
  expect(told.topWords).toMatch(/^\d+ g$/);
  expect(told.neighbours).toHaveLength(3);
});
test('a thread typed as on its label is the one that is sewn', () => {
  const told = quickSetup(
    ask({ thread: 'cotton 12 wt gold', technique: 'loops', visibility: 'show' }),
    nothing,
  );
  expect(told.top).toMatchObject({ id: 'typed', fibre: 'cotton', tex: 1000 / 12 });
  expect(told.setup.needle).toMatchObject({ eye: 'large' });
  expect([110, 120]).toContain(told.setup.needle.nm);
  expect(told.setup.spi).toBeLessThanOrEqual(9);
  expect(told.assumed.join()).toMatch(/60 wt polyester in the bobbin/);
});
test('will this thread do on plush? what creeps is said', () => {
  const told = quickSetup(ask({ fabric: 'plush', backing: 'plush', thread: 'poly 40' }), nothing);
  expect(told.watch.map((c) => c.code)).toContain('backing-creeps');
  expect(told.watch.length).toBeLessThanOrEqual(3);
});
test('a cone of the shelf by its id, and without one the shelf’s best', () => {
  const studio = { ...nothing, threads: shelf };
  const one = shelf.find((t) => t.fibre === 'cotton' && t.role !== 'bobbin')!;
  expect(quickSetup(ask({ thread: one.id }), studio).setup.topId).toBe(one.id);
  expect(shelf.map((t) => t.id)).toContain(quickSetup(ask(), studio).setup.topId);
});
test('tensions as this studio sets them: grams, a mark of the dial, or the drop test', () => {
  const scales = scalesOf([
    {
      kind: 'top-dial',
      points: [
        { mark: 2, value: 60 },
        { mark: 6, value: 140 },
      ],
    },
  ]);
  expect(quickSetup(ask(), { ...nothing, tensionSchool: 'gauge', scales }).topWords).toMatch(/^\d+ g$/);
  expect(quickSetup(ask(), { ...nothing, tensionSchool: 'both', scales }).topWords).toMatch(/ g, mark /);
  const dial = quickSetup(ask(), { ...nothing, tensionSchool: 'dial', scales });
  expect(dial.topWords).toMatch(/^mark /);
  expect(dial.bobbinWords).toMatch(/^drop test/);
  expect(`${dial.topWords} ${dial.bobbinWords}`).not.toMatch(/\d g\b/);
});
test('what cannot be read, and what no needle takes, is said of the thread', () => {
  for (const thread of ['tex 900 cotton', 'cotton -5/2 den'])
    try {
      quickSetup(ask({ thread }), nothing);
      throw new Error('it was taken');
    } catch (error) {
      expect(error).toBeInstanceOf(CoreError);
      expect((error as CoreError).path).toBe('thread');
    }
});
test('whatever is asked there is an answer or a sentence, and no number that cannot be set', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...fabrics.ids),
      fc.constantFrom(...battings.ids),
      fc.constantFrom(...techniques.ids.filter((t) => t !== 'open')),
      fc.constantFrom(
        '',
        'poly 40',
        '60',
        'cotton 50/3',
        'clear nylon',
        'metallic',
        'rayon 40',
        '12 wt cotton',
      ),
      (fabric, batting, technique, thread) => {
        try {
          const told = quickSetup(ask({ fabric, batting, technique, thread }), nothing);
          expect(told.watch.length).toBeLessThanOrEqual(3);
          const words = JSON.stringify([
            told.watch,
            told.neighbours,
            told.assumed,
            told.topWords,
            told.bobbinWords,
          ]);
          expect(words).not.toMatch(/\d\.\d{3,}/);
        } catch (error) {
          if (!(error instanceof CoreError)) throw error;
          expect(error.message.length).toBeGreaterThan(20);
        }
      },
    ),
    { numRuns: 120 },
  );
});
