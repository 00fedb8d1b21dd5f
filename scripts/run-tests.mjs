// Every check and test in turn, and a closing line that counts them.
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const out = mkdtempSync(join(tmpdir(), 'tidy-spool-results-'));
const total = { passed: 0, failed: 0 };
const run = (command, args, env = {}) =>
  spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } }).status === 0;
const building = ['bash', ['-c', '. scripts/lib.sh; need_build'], { NODE_ENV: 'production' }];
const count = (passed, failed) => {
  total.passed += passed;
  total.failed += failed;
};
const read = (file) => {
  try {
    return JSON.parse(readFileSync(join(out, file), 'utf8'));
  } catch {
    return null;
  }
};

function check(name, ok) {
  console.log(`${ok ? 'ok  ' : 'FAIL'}  ${name}`);
  count(ok ? 1 : 0, ok ? 0 : 1);
}

/** A check, its words told once it is through. */
async function checked(name, command, args, env = {}) {
  const child = spawn(command, args, {
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, ...env },
  });
  let said = '';
  child.stdout.on('data', (d) => (said += d));
  child.stderr.on('data', (d) => (said += d));
  const ok = (await new Promise((r) => child.once('close', r))) === 0;
  process.stdout.write(said);
  check(name, ok);
  return ok;
}
async function inTurn(names) {
  for (const name of names) await checked(name, 'npm', ['run', '-s', name]);
}
/** The unit tests, told as they come. */
async function units() {
  // Room for what is new in memory: a test makes much and keeps little.
  const room = `${process.env.NODE_OPTIONS ?? ''} --max-semi-space-size=64`.trim();
  const child = spawn(
    'node_modules/.bin/jest',
    ['--config=jest.together.config.cjs', '--json', `--outputFile=${join(out, 'unit.json')}`, '--silent'],
    { stdio: 'inherit', env: { ...process.env, NODE_OPTIONS: room } },
  );
  const ok = (await new Promise((r) => child.once('close', r))) === 0;
  const jest = read('unit.json');
  count(jest?.numPassedTests ?? 0, (jest?.numFailedTests ?? 0) + (jest?.numRuntimeErrorTestSuites ?? 0));
  if (!ok && !jest) count(0, 1);
}
/** The build, and the demo studio that the tests in the browser begin from. */
async function built() {
  if (!(await checked('build', ...building))) return false;
  return checked('demo studio', 'node', ['scripts/demo-studio.mjs']);
}
// The build writes types of its own, which the check of types would read half written: it comes after. Half of its time
// it needs one processor of two: the unit tests do not wait for it.
const [isBuilt] = await Promise.all([
  inTurn(['types']).then(built),
  inTurn(['lint', 'format', 'floors', 'unused']).then(units),
]);

if (isBuilt) {
  const ran = run('node_modules/.bin/playwright', ['test', ...process.argv.slice(2)], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: join(out, 'e2e.json'),
    DEMO_MADE: '1',
    TIDY_SPOOL_PRELOAD: 'off',
  });
  const stats = read('e2e.json')?.stats;
  count((stats?.expected ?? 0) + (stats?.flaky ?? 0), stats?.unexpected ?? 0);
  if (!ran && !stats?.unexpected) count(0, 1);
}

rmSync(out, { recursive: true, force: true });
console.log(`\n${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed > 0 || total.passed === 0 ? 1 : 0);
