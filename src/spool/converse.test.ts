import { answer, answerText } from './answer';
import { conversation } from './converse';
import { VERBS } from './verbs';

const lines = (name: string, input: readonly string[]) => {
  const out: string[] = [];
  const talk = conversation(name, (line) => out.push(line));
  for (const line of input) talk.line(line);
  const ok = talk.end();
  return { ok, out: out.map((l) => JSON.parse(l) as Record<string, unknown>) };
};

test('one answer a line, in order, and a bad line does not stop the next', () => {
  const { ok, out } = lines('thread', [
    '{"label":"Tex 27","fibre":"cotton"}',
    '{"label":"forty-ish","fibre":"cotton"}',
    '{"label":"Tex 40","fibre":"cotton"}',
  ]);
  expect(ok).toBe(false);
  expect(out.map((o) => o.tex ?? (o.error as { code: string }).code)).toEqual([27, 'label-unreadable', 40]);
});

test('one JSON document over several lines is one request', () => {
  const { ok, out } = lines('thread', ['{', '"label": "Tex 27",', '"fibre": "cotton"', '}']);
  expect(ok).toBe(true);
  expect(out).toHaveLength(1);
});

test.each([
  [{ label: 'Tex 27', fibre: 'cotton', texx: 1 }, 'unknown-field', 'texx'],
  [{ label: 'Tex 27' }, 'missing-field', 'fibre'],
  [{ label: 'Tex 27', fibre: 'hemp' }, 'unknown-id', 'fibre'],
  [{ label: 'Tex 27', fibre: 'cotton', netG: -1, lengthM: 5 }, 'out-of-range', 'netG'],
  [{ label: 27, fibre: 'cotton' }, 'wrong-type', 'label'],
])('%j is refused with its place', (request, code, path) => {
  expect(answer('thread', request)).toMatchObject({ error: { code, path } });
});

test('numbers that are not finite and text that is not JSON are errors', () => {
  expect(answerText('thread', '{"netG":1e999,"lengthM":1,"fibre":"cotton"}')).toHaveProperty('error');
  expect(answerText('thread', 'NaN')).toMatchObject({ error: { code: 'bad-json' } });
});

test('every verb has a line and both schemas', () => {
  for (const verb of Object.values(VERBS)) {
    expect(verb.summary).toBeTruthy();
    expect(verb.request.type).toBe('object');
    expect(verb.response.type).toBe('object');
  }
});
