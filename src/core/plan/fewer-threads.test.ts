import type { OrderRequest } from '../order/cells';
import { fewerThreads, type ThreadedZone } from './fewer-threads';

const order = (cells: [pass: number, thread: string][]): OrderRequest => ({
  passes: 4,
  rollMin: 2,
  changeMin: 3,
  changeTroubleMin: 6,
  threads: [...new Set(cells.map(([, t]) => t))],
  cells: cells.map(([pass, thread]) => ({ pass, thread, minutes: 20 })),
});
const zone = (id: string, topId: string, part: Partial<ThreadedZone> = {}): ThreadedZone => ({
  id,
  topId,
  bobbinId: `under ${topId}`,
  areaIn2: 400,
  fixed: false,
  ...part,
});
const threads = new Map([
  ['fog', { hex: '#d8d6cf', tex: 40 }],
  ['pearl', { hex: '#dcd9d2', tex: 40 }],
  ['ink', { hex: '#1b2230', tex: 40 }],
]);
const cells = order([
  [1, 'fog'],
  [2, 'fog'],
  [2, 'pearl'],
  [3, 'fog'],
  [3, 'ink'],
  [4, 'fog'],
]);

describe('one thread fewer', () => {
  test('the nearest colour is named, and the one hardly seen comes first', () => {
    const found = fewerThreads(
      cells,
      [zone('A', 'fog', { areaIn2: 4000 }), zone('B', 'pearl'), zone('C', 'ink')],
      threads,
    );
    expect(found[0]).toMatchObject({ dropId: 'pearl', intoId: 'fog', bobbinId: 'under fog', zones: ['B'] });
    expect(found[0]!.gainMin).toBeGreaterThanOrEqual(3);
    const ink = found.find((f) => f.dropId === 'ink')!;
    expect(ink.harm).toBeGreaterThan(5 * found[0]!.harm);
    expect(ink.why).toContain('colour');
  });

  test('a zone that is tested or sewn keeps its thread', () => {
    const zones = [zone('A', 'fog'), zone('B', 'pearl', { fixed: true }), zone('C', 'ink', { fixed: true })];
    expect(fewerThreads(cells, zones, threads).map((f) => f.dropId)).not.toContain('pearl');
    expect(fewerThreads(cells, zones, threads).map((f) => f.dropId)).not.toContain('ink');
  });

  test('one thread alone cannot be done without', () => {
    expect(fewerThreads(order([[1, 'fog']]), [zone('A', 'fog')], threads)).toEqual([]);
  });

  test('a thicker line is told', () => {
    const fat = new Map([...threads, ['pearl', { hex: '#d8d6cf', tex: 90 }]]);
    const found = fewerThreads(cells, [zone('A', 'fog'), zone('B', 'pearl')], fat);
    expect(found.find((f) => f.dropId === 'pearl')!.why).toContain('finer');
  });
});
