import { DRILLS } from './drills';
import { drillRequest, judge } from './judge';
import { readSharedDrill, type SharedDrill, sharedDrillFile } from './shared-drill';
import { USUAL_MACHINE } from '../match/quick';

const path = DRILLS.get('wave').line.map(([xIn, yIn], i) => ({ tMs: i * 15, xIn, yIn }));
const given: SharedDrill = { drill: 'wave', mode: 'idling', spi: 10, path };
const file = sharedDrillFile(given);

test('a drill with its line comes back as it was, and is judged the same', () => {
  const read = readSharedDrill(file) as SharedDrill;
  expect(read).toEqual(given);
  const of = (d: SharedDrill) => judge(d.drill, drillRequest(USUAL_MACHINE, d.mode, d.spi, d.path));
  expect(of(read)).toEqual(of(given));
  expect(file).toContain('<svg');
});

const broken = (part: object) => readSharedDrill(JSON.stringify({ ...JSON.parse(file), ...part }));
test('what cannot be sewn is told and never taken', () => {
  expect(broken({ format: 'x' })).toBeNull();
  expect(broken({ version: 2 })).toMatch('newer');
  expect(broken({ drill: 'tango' })).toMatch('not known here');
  expect(broken({ mode: 'flying' })).toMatch('not whole');
  expect(broken({ path: path.slice(0, 3) })).toMatch('no line');
  expect(broken({ path: path.map((p) => ({ ...p, tMs: 5 })) })).toMatch('no line');
  expect(broken({ path: path.map((p) => ({ ...p, xIn: 'left' })) })).toMatch('no line');
});
