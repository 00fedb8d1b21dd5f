/** Stands for a quotation mark, which would be escaped twice on its way to the browser. */
const MARK = '\ue000';

/** Thousands of rows as one text: crosses to the browser much faster than as objects. */
export const pack = (value: unknown): string =>
  JSON.stringify(value).replaceAll(MARK, '\\ue000').replaceAll('"', MARK);

/** What was packed; dates come as ISO text. */
export const unpack = <T>(text: string): T => JSON.parse(text.replaceAll(MARK, '"')) as T;
