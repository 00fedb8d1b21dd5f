import { spawn } from 'node:child_process';
import { chmodSync, mkdtempSync } from 'node:fs';

/** A data folder that the database's own user can reach. */
export function dataFolder(): string {
  const data = mkdtempSync('/var/tmp/tidy-spool-start.');
  chmodSync(data, 0o755);
  return data;
}

/** Runs ./start until it says it is ready; `stop` is Ctrl-C. */
export async function start(env: Record<string, string>) {
  const child = spawn('./start', [], { env: { ...process.env, ...env }, detached: true });
  let out = '';
  child.stdout.on('data', (d) => (out += d));
  child.stderr.on('data', (d) => (out += d));
  const began = Date.now();
  const ended = new Promise<number>((r) => child.once('exit', (code) => r(code ?? -1)));
  const ready = new Promise<boolean>((r) => {
    const timer = setInterval(() => {
      if (out.includes('is ready at') || child.exitCode !== null) {
        clearInterval(timer);
        r(child.exitCode === null);
      }
    }, 50);
  });
  return {
    ready: await ready,
    seconds: (Date.now() - began) / 1000,
    said: () => out,
    pid: child.pid!,
    stop: async () => {
      process.kill(-child.pid!, 'SIGINT');
      return ended;
    },
    ended,
  };
}
