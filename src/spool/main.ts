import { createInterface } from 'node:readline';
import { conversation } from './converse';
import { VERBS } from './verbs';

// Standard output is for answers alone; what a library has to say goes beside it.
console.log = console.error;

/** How long an unfinished document may pause before it counts as a bad line. */
const PAUSE_MS = 200;

const [verb, of] = process.argv.slice(2);

async function converse(name: string) {
  const talk = conversation(name, (line) => process.stdout.write(line));
  let timer: NodeJS.Timeout | undefined;
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    clearTimeout(timer);
    talk.line(line);
    if (talk.waiting) timer = setTimeout(() => talk.idle(), PAUSE_MS);
  }
  clearTimeout(timer);
  process.exitCode = talk.end() ? 0 : 1;
}

const refuse = (message: string) => {
  process.stdout.write(JSON.stringify({ error: { code: 'unknown-verb', message, path: '' } }) + '\n');
  process.exitCode = 1;
};

const known = `Known: ${Object.keys(VERBS).join(', ')}, verbs, schema.`;
if (verb === 'verbs')
  for (const [name, { summary }] of Object.entries(VERBS))
    process.stdout.write(`${name.padEnd(14)} ${summary}\n`);
else if (verb === 'schema') {
  const found = VERBS[of ?? ''];
  if (found)
    process.stdout.write(
      JSON.stringify({ request: found.request, response: found.response }, null, 2) + '\n',
    );
  else refuse(`Name the verb whose schema is wanted. ${known}`);
} else if (verb && VERBS[verb]) void converse(verb);
else refuse(`“${verb ?? ''}” is not a verb. ${known}`);
