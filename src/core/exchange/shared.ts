/** Files one studio gives another: JSON that any program reads, each with what kind it is and a drawing. */
const VERSION = 1;

/** The text of a file of one kind. @param kind its name, as `tidy-spool-pattern`. */
export const sharedFile = (kind: string, body: object): string =>
  JSON.stringify({ format: kind, version: VERSION, ...body }, null, 2);

/**
 * A file of one kind read again: null where a text is none of that kind, words where it cannot be taken in.
 * @param called what such a file is called, for the words.
 */
export function readShared(
  text: string,
  kind: string,
  called: string,
): Readonly<Record<string, unknown>> | string | null {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return null;
  }
  if (typeof json !== 'object' || json === null || (json as { format?: unknown }).format !== kind)
    return null;
  const { version, ...body } = json as Record<string, unknown>;
  return version === VERSION ? body : `This ${called} comes from a newer program.`;
}
