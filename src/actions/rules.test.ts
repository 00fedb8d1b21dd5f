import { getMetadataStorage } from 'class-validator';
import * as everyForm from './server';
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
  expect(Object.keys(everyForm).length).toBeGreaterThan(40);
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
