import userEvent from '@testing-library/user-event';

/** Writes into a field at once; a dialog is drawn once and not at every letter. */
export async function fill(field: Element, words: string): Promise<void> {
  await userEvent.click(field);
  await userEvent.paste(words);
}
