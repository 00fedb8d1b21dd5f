import { spawnSync } from 'node:child_process';

/** The command line as another program meets it. */
const spool = (verb: string, input: string) => {
  const ran = spawnSync(process.execPath, ['scripts/spool.mjs', verb], { input, encoding: 'utf8' });
  return { lines: ran.stdout.trim().split('\n'), status: ran.status };
};

test('each line is answered by one line of JSON, whatever a library has to say of a drawing', () => {
  const drawings = ['foo\nbar', '0\nSECTION\n2\nENTITIES\n9999\nodd\n0\nENDSEC\n0\nEOF'];
  const { lines, status } = spool(
    'pattern',
    [
      ...drawings.map((dxf) => ({ dxf })),
      { svg: '<svg width="1in" viewBox="0 0 1 1"><path d="M0 0H1"/></svg>' },
    ]
      .map((r) => JSON.stringify(r))
      .join('\n') + '\n',
  );
  const answers = lines.map((l) => JSON.parse(l) as { lengthIn?: number; error?: { code: string } });
  expect(answers.map((a) => a.error?.code ?? a.lengthIn)).toEqual(['not-a-drawing', 'not-a-drawing', 1]);
  expect(status).toBe(1);
});
test('the verbs are listed, one to a line; one that is none is told, and fails', () => {
  const { lines, status } = spool('verbs', '');
  expect(status).toBe(0);
  expect(lines.map((l) => l.split(' ')[0])).toEqual(
    expect.arrayContaining(['thread', 'match', 'diagnose', 'stitch-photo', 'route', 'quote', 'pattern']),
  );
  expect(spool('nothing', '').status).toBe(1);
});
