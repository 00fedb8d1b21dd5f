/** What a file's bytes were read as. */
export interface Decoded {
  text: string;
  encoding: 'UTF-8' | 'UTF-16' | 'Latin-1';
}

/** The largest file taken, bytes: 5 000 cones with long notes fit ten times. */
export const MOST_BYTES = 10_000_000;

/**
 * The text of a CSV file: UTF-8 with or without its mark, UTF-16 with one, else Latin-1. Null when it is
 * not text at all (zero bytes in it).
 */
export function decodeText(bytes: Uint8Array, decoder: typeof TextDecoder): Decoded | null {
  const as = (label: string, fatal: boolean) => new decoder(label, { fatal }).decode(bytes);
  if ((bytes[0] === 0xff && bytes[1] === 0xfe) || (bytes[0] === 0xfe && bytes[1] === 0xff))
    return { text: as(bytes[0] === 0xff ? 'utf-16le' : 'utf-16be', false), encoding: 'UTF-16' };
  if (bytes.subarray(0, 100_000).includes(0)) return null;
  try {
    return { text: as('utf-8', true), encoding: 'UTF-8' };
  } catch {
    return { text: as('windows-1252', false), encoding: 'Latin-1' };
  }
}
