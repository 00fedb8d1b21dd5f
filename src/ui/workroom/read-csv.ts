import Papa from 'papaparse';
import { decodeText, MOST_BYTES } from '@/core/exchange/decode';
import type { DecimalSign } from '@/core/exchange/read-number';

export interface CsvFile {
  name: string;
  encoding: string;
  delimiter: string;
  decimal: DecimalSign;
  header: string[];
  rows: string[][];
}

const MOST_ROWS = 20_000;

/** A dropped file as header and rows, or in words why it cannot be read. */
export async function readCsv(file: File): Promise<CsvFile | string> {
  if (file.size === 0) return 'This file is empty.';
  if (file.size > MOST_BYTES)
    return `This file has ${(file.size / 1e6).toFixed(0)} MB; at most ${MOST_BYTES / 1e6} MB are read. Part it into smaller files.`;
  const decoded = decodeText(new Uint8Array(await file.arrayBuffer()), TextDecoder);
  if (!decoded) return 'This file is not text. Save the sheet as CSV first.';
  const parsed = Papa.parse<string[]>(decoded.text, { skipEmptyLines: 'greedy' });
  const broken = parsed.errors.find((e) => e.type === 'Quotes');
  if (broken) return `A quotation mark is not closed, near row ${(broken.row ?? 0) + 1}.`;
  const [header, ...rows] = parsed.data;
  if (!header || header.length < 2)
    return 'No columns were found. The first row must name them, parted by commas, semicolons or tabs.';
  if (rows.length === 0) return 'There are no rows under the header.';
  if (rows.length > MOST_ROWS)
    return `This file has ${rows.length} rows; at most ${MOST_ROWS} are read at once.`;
  const { delimiter } = parsed.meta;
  return {
    name: file.name,
    encoding: decoded.encoding,
    delimiter,
    // Sheets that part columns by semicolons do so because the comma is their decimal sign.
    decimal: delimiter === ';' ? ',' : '.',
    header: header.map((h) => h.trim()),
    rows,
  };
}
