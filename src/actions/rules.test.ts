import { getMetadataStorage } from 'class-validator';
import { problemOf } from '@/core/fields/field';
import { CLIENT, QUILT } from '@/core/fields/quilt';
import { Fields } from './rules';
import { COMMANDS } from './registry';
import { check } from './validate';

jest.mock('next/cache', () => ({ revalidatePath: () => {} }));

interface Rule {
  target: new () => object;
  propertyName: string;
  name?: string;
  type: string;
  each: boolean;
}
/** Every rule on every field of every form, as the library holds them. */
const rules = (): Rule[] => {
  const { validationMetadatas } = getMetadataStorage() as unknown as {
    validationMetadatas: Map<unknown, Rule[]>;
  };
  return [...validationMetadatas.values()].flat();
};
const nested = () => rules().filter((r) => r.type === 'nestedValidation');

test('there are forms within forms to look at', () => {
  expect(Object.keys(COMMANDS).length).toBeGreaterThan(40);
  expect(nested().length).toBeGreaterThanOrEqual(8);
});

test.each([
  ['nothing', null],
  ['no value', undefined],
  ['a number', 7],
  ['a text', 'x'],
  ['a list', []],
])('%s in place of a form within a form is said at its place, in every form', async (_, hole) => {
  for (const { target, propertyName, each } of nested()) {
    const optional = rules().some(
      (r) => r.target === target && r.propertyName === propertyName && r.type === 'conditionalValidation',
    );
    if (!each && optional && (hole === null || hole === undefined)) continue;
    const answer = await check(target, { [propertyName]: each ? [hole] : hole });
    const at = `${target.name}.${propertyName}`;
    expect([at, answer.ok]).toEqual([at, false]);
    if (answer.ok) return;
    const said = answer.problems.filter(
      (p) => p.path === propertyName || p.path.startsWith(`${propertyName}.`),
    );
    expect([at, said.length > 0]).toEqual([at, true]);
    for (const p of said) expect(p.message).not.toMatch(/must be|each value|nested property/);
  }
});

/** What a form says of a value before it is sent is what the server says of it. */
describe('at the box and at the door the same is said', () => {
  @Fields(QUILT)
  class OfQuilt {}
  @Fields(CLIENT)
  class OfClient {}
  const sound = {
    name: 'A',
    use: 'bed',
    widthsIn: [50, 50, 50],
    lengthsIn: [50, 50, 50],
    dueOn: '2026-12-12',
    battingId: '00000000-0000-7000-8000-000000000001',
    backingId: '00000000-0000-7000-8000-000000000001',
    prewash: false,
  };
  test.each<[string, unknown]>([
    ['backingClothIn', 5],
    ['backingClothIn', 'wide'],
    ['backingClothIn', 108],
    ['widthsIn', [50, 50]],
    ['widthsIn', [50, 50, 900]],
    ['widthsIn', [50, 'x', 50]],
    ['wishes', 'x'.repeat(2001)],
    ['email', 'nan at harbour'],
    ['email', 'nan@harbour.example'],
    ['phone', '+1 (555) 010-20'],
    ['phone', 'call me'],
  ])('%s: %p', async (id, value) => {
    const field = [...QUILT, ...CLIENT].find((f) => f.id === id)!;
    const ofClient = CLIENT.some((f) => f.id === id);
    const r = await check(
      ofClient ? OfClient : OfQuilt,
      ofClient ? { [id]: value } : { ...sound, [id]: value },
    );
    expect(problemOf(field, value)).toBe(r.ok ? null : r.problems[0]!.message);
  });
});
