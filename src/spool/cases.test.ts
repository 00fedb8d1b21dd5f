import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { answer, failed } from './answer';

interface Expectation {
  near?: number;
  rel?: number;
  oneOf?: unknown[];
  min?: number;
  max?: number;
}
interface WorkedCase {
  name: string;
  request: object;
  expect: Record<string, Expectation | string | boolean>;
}

/** Reads `setups[0].topId` and `sizes[nm=100].eyeRatio` out of a response. */
function pick(value: unknown, path: string): unknown {
  return path.split(/\.|(?=\[)/).reduce<unknown>((node, part) => {
    const bracket = /^\[(?:(\w+)=)?(.+)\]$/.exec(part);
    if (!bracket) return (node as Record<string, unknown>)?.[part];
    const [, key, want] = bracket;
    const items = node as Record<string, unknown>[];
    return key ? items.find((item) => String(item[key]) === want) : items[Number(want)];
  }, value);
}

const folder = join(process.cwd(), 'tests/cases');

describe.each(readdirSync(folder).map((file) => file.replace('.json', '')))('worked cases of %s', (verb) => {
  const cases = JSON.parse(readFileSync(join(folder, `${verb}.json`), 'utf8')) as WorkedCase[];
  test.each(cases.map((c) => [c.name, c] as const))('%s', (_name, { request, expect: wanted }) => {
    const response = answer(verb, request);
    if (wanted.error === true) return expect(failed(response)).toBe(true);
    expect(failed(response) ? response : 'answered').toBe('answered');
    for (const [path, expectation] of Object.entries(wanted)) {
      if (path === 'code') {
        const { reasons = [], cautions = [] } = response as Record<string, { code: string }[]>;
        expect([...reasons, ...cautions].map((note) => note.code)).toContain(expectation);
        continue;
      }
      const { near, rel = 0, oneOf, min, max } = expectation as Expectation;
      const got = pick(response, path);
      if (oneOf) expect(oneOf).toContain(got);
      if (min != null) expect(got).toBeGreaterThanOrEqual(min);
      if (max != null) expect(got).toBeLessThanOrEqual(max);
      if (near != null) expect(Math.abs((got as number) - near)).toBeLessThanOrEqual(Math.abs(near) * rel);
    }
  });
});
