'use server';
import { revalidatePath } from 'next/cache';
import { reached } from '@/serve/reached';
import { thisContext } from './context';
import { mishap } from './mishaps';
import { askFor, isAskedByBrowser } from './queries';
import { COMMANDS, isCommand, perform } from './registry';
import { refuse, type Result } from './result';

/**
 * The one door of the browser to every command. After a success every page is read afresh, unless the page stays; a throw
 * is told by its number.
 */
export async function run(name: string, input: unknown): Promise<Result<unknown>> {
  const far = reached.getStore();
  if (far) far.act = true;
  if (!isCommand(name))
    return refuse('This is not known here any more. Reload the page; nothing was stored.');
  try {
    const result = await perform(thisContext(), name, input);
    if (result.ok && !(COMMANDS[name] as { stays?: boolean }).stays) revalidatePath('/', 'layout');
    return result;
  } catch (error) {
    return mishap(name, error);
  }
}

/** What a page asks while it is used. */
export async function look(name: string, ...args: unknown[]): Promise<unknown> {
  return isAskedByBrowser(name) ? askFor(thisContext(), name, ...args) : null;
}
