// Runs the command line of the core, compiled once and again only when a source file is newer.
import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';

const root = join(import.meta.dirname, '..');
const out = join(root, '.cache', 'spool.mjs');
const newest = (dir) =>
  readdirSync(dir, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile())
    .reduce(
      (latest, entry) => Math.max(latest, statSync(join(entry.parentPath ?? entry.path, entry.name)).mtimeMs),
      0,
    );

const sources = Math.max(newest(join(root, 'src/core')), newest(join(root, 'src/spool')));
if (!existsSync(out) || statSync(out).mtimeMs < sources) {
  const { build } = await import('esbuild');
  await build({
    entryPoints: [join(root, 'src/spool/main.ts')],
    outfile: out,
    bundle: true,
    minify: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    alias: { '@': join(root, 'src') },
    banner: { js: "import{createRequire}from'node:module';const require=createRequire(import.meta.url);" },
    logLevel: 'error',
  });
}
await import(out);
