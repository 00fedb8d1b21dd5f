import Ajv, { type ErrorObject, type ValidateFunction } from 'ajv';
import { CoreError } from '@/core/notes';
import { crossCheck } from './cross-checks';
import { VERBS } from './verbs';

export interface Failure {
  error: { code: string; message: string; path: string };
}

const ajv = new Ajv({ allErrors: false, strict: false });
const compiled = new Map<string, ValidateFunction>();

const fail = (code: string, message: string, path = ''): Failure => ({ error: { code, message, path } });
export const failed = (response: object): response is Failure => 'error' in response;

/** `/zone/top/0/hex` → `zone.top[0].hex`. */
const dotted = (pointer: string, key?: string) =>
  [...pointer.split('/').slice(1), ...(key ? [key] : [])].reduce(
    (path, part) => (/^\d+$/.test(part) ? `${path}[${part}]` : path ? `${path}.${part}` : part),
    '',
  );

function refusal({ keyword, params, instancePath, schema, parentSchema }: ErrorObject): Failure {
  const at = dotted(instancePath);
  switch (keyword) {
    case 'additionalProperties':
      return fail(
        'unknown-field',
        `“${params.additionalProperty}” is not a field here. Known: ${Object.keys((parentSchema as { properties: object }).properties).join(', ')}.`,
        dotted(instancePath, params.additionalProperty),
      );
    case 'required':
      return fail(
        'missing-field',
        `“${params.missingProperty}” is missing.`,
        dotted(instancePath, params.missingProperty),
      );
    case 'enum':
      return fail('unknown-id', `Not known here. Known: ${(schema as unknown[]).join(', ')}.`, at);
    case 'minimum':
    case 'maximum':
    case 'exclusiveMinimum': {
      const p = parentSchema as { minimum?: number; exclusiveMinimum?: number; maximum?: number };
      const low = p.exclusiveMinimum != null ? `above ${p.exclusiveMinimum}` : `from ${p.minimum}`;
      return fail('out-of-range', `Must lie ${low} to ${p.maximum}.`, at);
    }
    case 'type':
      return fail('wrong-type', `Must be ${[params.type].flat().join(' or ')}.`, at);
    default:
      return fail('bad-value', `Does not fit: ${keyword} ${JSON.stringify(schema)}.`, at);
  }
}

/** Answers one request of a verb. Never throws for what a caller sent. */
export function answer(verbName: string, request: unknown): object {
  const verb = VERBS[verbName];
  if (!verb)
    return fail('unknown-verb', `“${verbName}” is not a verb. Known: ${Object.keys(VERBS).join(', ')}.`);
  let validate = compiled.get(verbName);
  if (!validate) {
    validate = ajv.compile({ ...verb.request });
    compiled.set(verbName, validate);
  }
  if (!validate(request))
    return refusal({ ...validate.errors![0]!, ...withSchema(verb.request, validate.errors![0]!) });
  try {
    crossCheck(request);
    return verb.run(request as never);
  } catch (error) {
    if (error instanceof CoreError) return fail(error.code, error.message, error.path);
    throw error;
  }
}

/** The schema an error came from, for words that name its range. */
function withSchema(root: object, error: ErrorObject) {
  const steps = error.schemaPath.split('/').slice(1);
  const walk = (parts: string[]) =>
    parts.reduce<unknown>(
      (node, part) => (node as Record<string, unknown> | undefined)?.[decodeURIComponent(part)],
      root,
    );
  return { schema: walk(steps), parentSchema: walk(steps.slice(0, -1)) as object };
}

/** Answers one line or document of JSON text. */
export function answerText(verbName: string, source: string): object {
  let request: unknown;
  try {
    request = JSON.parse(source);
  } catch (error) {
    return fail('bad-json', `Not JSON: ${(error as Error).message}.`);
  }
  return answer(verbName, request);
}
