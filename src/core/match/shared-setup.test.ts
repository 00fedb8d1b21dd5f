import { shelf } from '../testing/a-shelf';
import { quickSetup, type QuickAsk, type QuickStudio, USUAL_MACHINE } from './quick';
import { differences, labelOf, readSharedSetup, sharedSetupFile, type SharedSetup } from './shared-setup';
import { scalesOf } from '../machine/scales';

const ask: QuickAsk = {
  fabric: 'quilting-cotton',
  batting: 'cotton-80-20',
  technique: 'swirls',
  backing: 'quilting-cotton',
  thread: '',
  use: 'bed',
  visibility: 'texture',
};
const studio = (part: Partial<QuickStudio> = {}): QuickStudio => ({
  machine: USUAL_MACHINE,
  threads: shelf,
  needles: [],
  tensionSchool: 'gauge',
  scales: scalesOf([]),
  ...part,
});
const told = quickSetup(ask, studio());
const file = sharedSetupFile(ask, told, USUAL_MACHINE);
const read = readSharedSetup(file) as SharedSetup;

test('what is given comes back whole, with its drawing', () => {
  expect(read.ask.technique).toBe('swirls');
  expect(read.setup.topGf).toBe(told.setup.topGf);
  expect(read.svg).toMatch(/^<svg[^]*<path[^]*d="M/);
});

test('in the same studio nothing is otherwise', () => {
  expect(differences(read, told, USUAL_MACHINE)).toEqual([]);
});

test('on a smaller machine without the foot and the mode it is said, and why', () => {
  const small = { ...USUAL_MACHINE, maxSpm: 900, feet: ['closed'], modes: ['manual'] as const };
  const there: SharedSetup = { ...read, setup: { ...read.setup, foot: 'open-toe', mode: 'idling' } };
  const here = quickSetup(
    { ...there.ask, thread: labelOf(there.top) },
    studio({ machine: small, threads: [] }),
  );
  const rows = differences(there, here, small);
  const why = new Map(rows.map((r) => [r.what, r.why]));
  expect(why.get('Foot')).toBe('no open-toe foot here');
  expect(why.get('Regulator')).toBe('this machine does not do it');
  expect(rows.some((r) => r.what === 'Top thread')).toBe(false);
});

test('the thread’s label is read as the same size and fibre', () => {
  const here = quickSetup({ ...read.ask, thread: labelOf(read.top) }, studio({ threads: [] }));
  expect(here.top.tex).toBeCloseTo(read.top.tex, 6);
  expect(here.top.fibre).toBe(read.top.fibre);
});

const broken = (change: (f: Record<string, Record<string, unknown>>) => void) => {
  const json = JSON.parse(file) as Record<string, Record<string, unknown>>;
  change(json);
  return readSharedSetup(JSON.stringify(json));
};
test.each([
  ['another kind of file', (f: Record<string, unknown>) => (f.format = 'something'), null],
  ['a newer one', (f: Record<string, unknown>) => (f.version = 9), /newer program/],
  [
    'a strange fabric',
    (f: Record<string, Record<string, unknown>>) => (f.ask!.fabric = 'moon'),
    /not known here/,
  ],
  [
    'a tension without end',
    (f: Record<string, Record<string, unknown>>) => (f.setup!.topGf = 1e9),
    /not whole/,
  ],
  ['no machine', (f: Record<string, unknown>) => delete f.machine, /not whole/],
])('%s is told', (_, change, words) => {
  const answer = broken(change as never);
  if (words === null) expect(answer).toBeNull();
  else expect(answer).toMatch(words);
});
test('what is no file is none', () => {
  expect(readSharedSetup('{')).toBeNull();
  expect(readSharedSetup('[]')).toBeNull();
});
