import type { Result } from '@/actions/result';
import type { PhotographMoment } from '@/core/fields/lists';
import { CoreError } from '@/core/notes';
import { isOffline } from './offline';
import { smallerPhotograph } from './smaller-photograph';
import { unanswered } from './use-action-form';

const said = (message: string): Result<never> => ({ ok: false, problems: [{ path: 'photo', message }] });

/** What a browser throws for a picture it cannot decode; anything else is a mistake of the program. */
const cannotDecode = (error: unknown): boolean =>
  error instanceof DOMException && /InvalidState|Encoding|NotReadable|NotSupported/.test(error.name);

/** Makes a photograph smaller here, and keeps it with a talk or a quilt. What goes wrong is told as what it is. */
export async function sendPhotograph(
  ofId: string,
  file: File,
  moment: PhotographMoment = 'take-in',
): Promise<Result<{ id: string }>> {
  let body: Blob;
  try {
    body = await smallerPhotograph(file);
  } catch (error) {
    if (error instanceof CoreError) return said(error.message);
    if (cannotDecode(error)) return said(`“${file.name}” cannot be read as a photograph.`);
    reportError(error);
    return said(unanswered(error).message);
  }
  try {
    const answer = await fetch(`/photographs/${ofId}?moment=${moment}`, { method: 'POST', body });
    return (await answer.json()) as Result<{ id: string }>;
  } catch (error) {
    return said(
      isOffline(error)
        ? `“${file.name}” did not arrive: the studio’s computer did not answer; choose it again in a moment.`
        : unanswered(error).message,
    );
  }
}
