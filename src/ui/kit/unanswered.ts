import type { Problem } from '@/actions/result';
import { isOffline } from './offline';

const OFFLINE: Problem = {
  path: '',
  message: 'The studio’s computer did not answer; try again in a moment. Nothing you typed is lost.',
};
const OLD_PAGE: Problem = {
  path: '',
  message:
    'The program was renewed since this page was opened. Copy what you typed, reload the page, and send it again.',
};
const BROKEN: Problem = {
  path: '',
  message:
    'The program made a mistake and could not answer. Nothing you typed is lost; what went wrong is in its log on the Workroom.',
};

/** Why no answer came: nobody there, a page older than the program, or a mistake of the program's own. */
export function unanswered(error: unknown): Problem {
  const text = String(error);
  if (/Failed to find Server Action|older or newer deployment|UnrecognizedAction/i.test(text))
    return OLD_PAGE;
  return isOffline(error) ? OFFLINE : BROKEN;
}
