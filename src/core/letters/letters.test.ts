import fc from 'fast-check';
import { LETTERS, type LetterFacts, letter } from './letters';

const facts = (part: Partial<LetterFacts> = {}): LetterFacts => ({
  studio: 'Saltmarsh Longarm Room',
  client: 'Maud Fenwick',
  quilt: 'Salt Pans',
  size: '56 in by 68 in',
  dueOn: '2026-12-12',
  batting: 'Wool',
  backing: 'Cotton',
  wishes: '',
  care: '',
  deposit: null,
  delivery: 'collect',
  tracking: '',
  conditions: [],
  zones: [
    { letter: 'A', name: 'Border', technique: 'Ruler lines', thread: 'Skerry Poly Kelp' },
    { letter: 'B', name: 'Centre', technique: 'Swirls', thread: null },
  ],
  ways: [],
  frameOn: '2026-12-08',
  begun: false,
  today: '2026-11-30',
  newDay: null,
  measures: null,
  mended: [],
  washing: [],
  due: null,
  offer: null,
  pictures: 2,
  ...part,
});
const text = (kind: (typeof LETTERS)[number], part: Partial<LetterFacts> = {}) =>
  letter(kind, facts(part)).paragraphs.join('\n');

test('approval is asked for three days before it goes on the frame', () =>
  expect(text('approve')).toMatch(/yes by Saturday 5 December 2026/));
test('two ways are told of, and which is asked', () =>
  expect(text('approve', { ways: [{ zone: 'Border', a: 'swirls', b: 'feathers' }] })).toMatch(
    /Border is drawn in two ways.*A, swirls; B, feathers.*which/,
  ));
test('a day that is past is not asked for', () =>
  expect(text('approve', { today: '2026-12-06' })).toMatch(/as soon as you can/));
test('what was found is told with what it means, its minutes and the question', () => {
  const stain = {
    kind: 'stain',
    side: 'back',
    place: 'left border',
    sizeIn: null,
    note: '',
    state: 'found',
  } as const;
  expect(text('found', { conditions: [stain] })).toMatch(
    /Stain \(left border, on the back\).*No heat.*About 12 minutes.*whether we may/,
  );
  expect(text('found', { conditions: [{ ...stain, state: 'agreed' }] })).not.toMatch(/whether we may/);
  expect(letter('found', facts()).missing).not.toBeNull();
});
test('what is not known is left out, and nothing in a letter reads null or nothing', () => {
  const maybe = fc.option(fc.constantFrom('€50.00', '2026-12-20'), { nil: null });
  fc.assert(
    fc.property(
      fc.constantFrom(...LETTERS),
      fc.record({ newDay: fc.option(fc.constant('2026-12-20'), { nil: null }), due: maybe, measures: maybe }),
      fc.constantFrom('collect' as const, 'ship' as const),
      fc.constantFrom<'2026-12-08' | null>('2026-12-08', null),
      (kind, part, delivery, frameOn) => {
        const l = letter(kind, facts({ ...part, delivery, frameOn }));
        expect(l.paragraphs.join(' ')).not.toMatch(/null|undefined|NaN|Invalid/);
        expect(l.subject).toContain('Salt Pans');
        if (part.due === null) expect(l.paragraphs.join(' ')).not.toContain('Due');
      },
    ),
  );
});
