/** What a person typed as a number, decimal comma or point: empty is null, and what is not a number stays as typed, to be refused in words. */
export function numberOf(text: string): number | string | null {
  const trimmed = text.trim().replace(',', '.');
  if (trimmed === '') return null;
  const value = Number(trimmed);
  return Number.isFinite(value) ? value : text;
}
