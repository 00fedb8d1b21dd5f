import { readBattingKind } from '../exchange/words';

/** The batting a word means: one of the studio's own by its name, or the first of that kind; undefined where it is none. */
export function battingNamed<B extends { name: string; kind: string }>(
  word: string,
  battings: readonly B[],
): B | undefined {
  const said = word.trim().toLowerCase();
  if (!said) return undefined;
  const kind = readBattingKind(said);
  return (
    battings.find((b) => b.name.toLowerCase() === said) ??
    battings.find((b) => b.kind === kind) ??
    battings.find((b) => b.name.toLowerCase().includes(said))
  );
}
