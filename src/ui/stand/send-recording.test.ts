import { sendRecording } from './send-recording';

const head = (quiltId: string) => JSON.stringify({ run: 'r', quiltId });
const answer = (value: object, ok = true) => ({ ok, json: async () => value }) as Response;
const lines = (n: number) => Array.from({ length: n }, (_, t) => JSON.stringify({ t }));

test('a long recording goes piece by piece, each with its head', async () => {
  const sent: string[] = [];
  const told = await sendRecording('q', [head('q'), ...lines(4500)].join('\n'), async (body) => {
    sent.push(body);
    return answer({ stitches: 900, strange: 1 });
  });
  expect(sent.map((b) => b.split('\n').length)).toEqual([2001, 2001, 501]);
  for (const b of sent) expect(b.split('\n')[0]).toBe(head('q'));
  expect(told).toBe('900 stitches taken in; 3 lines could not be read.');
});

test.each([
  ['nothing', '', /no recording/],
  ['a picture', '\u0089PNG', /no recording/],
  ['another quilt', head('p'), /another quilt/],
  ['a head alone', head('q'), /holds no reading/],
])('%s is told so, and nothing is sent', async (_, text, said) => {
  const post = jest.fn();
  expect(await sendRecording('q', text, post)).toMatch(said);
  expect(post).not.toHaveBeenCalled();
});

test('a refusal is told in its words; a line that is cut says how far it came', async () => {
  const text = [head('q'), ...lines(2500)].join('\n');
  expect(
    await sendRecording('q', text, async () =>
      answer({ error: { message: 'At most 1 MB a request.' } }, false),
    ),
  ).toBe('At most 1 MB a request.');
  let n = 0;
  const cut = await sendRecording('q', text, async () => {
    if (n++ > 0) throw new TypeError('gone');
    return answer({ stitches: 1, strange: 0 });
  });
  expect(cut).toContain('2000 of 2500 readings were taken');
});
