import { changedSince, type RestsOn } from './rests-on';

const thread = (id: string) => ({
  id,
  name: `Heron ${id}`,
  tex: 27,
  fibre: 'polyester-filament',
  batch: '12',
});
const now: RestsOn = {
  cloths: [{ id: 'quilting-cotton', name: 'Haze blue' }],
  features: [],
  batting: { id: 'b1', name: 'Drumlin 80/20' },
  backing: { id: 'quilting-cotton', name: 'Sand' },
  machine: { id: 'm1', name: 'Long one' },
  needle: '100 standard sharp',
  top: thread('Sandbar'),
  bobbin: thread('Fog'),
};

test('what is the same holds; a fabric renamed or dyed is still the same kind', () => {
  expect(changedSince(now, now)).toEqual([]);
  expect(changedSince(now, { ...now, cloths: [{ id: 'quilting-cotton', name: 'Deep blue' }] })).toEqual([]);
  expect(changedSince(now, { ...now, top: { ...now.top, tex: 27.2 } })).toEqual([]);
});

test.each<[string, Partial<RestsOn>, RegExp]>([
  ['cloth', { cloths: [{ id: 'denim', name: 'Old jeans' }] }, /fabric is Old jeans now; it was Haze blue/],
  ['features', { features: ['beads'] }, /what else is in the zone/],
  [
    'batting',
    { batting: { id: 'b2', name: 'Fleecewater Wool' } },
    /batting is Fleecewater Wool now; it was Drumlin/,
  ],
  ['backing', { backing: { id: 'plush', name: 'Seal' } }, /backing is Seal now/],
  ['machine', { machine: { id: 'm2', name: 'Short one' } }, /machine is Short one now/],
  ['needle', { needle: '90 standard sharp' }, /another needle/],
  ['size of the top', { top: { ...now.top, tex: 18 } }, /the top thread is not the one/],
  ['batch', { bobbin: { ...now.bobbin, batch: '13' } }, /another dye lot of Heron Fog/],
])('%s changed is told', (_, part, words) => {
  const told = changedSince(now, { ...now, ...part });
  expect(told).toHaveLength(1);
  expect(told[0]).toMatch(words);
});
