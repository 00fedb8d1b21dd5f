import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray } from 'class-validator';
import Papa from 'papaparse';
import { v7 as uuidv7 } from 'uuid';
import {
  COLUMNS,
  EXCHANGE_KINDS,
  type ExchangeKind,
  type Mapping,
  missingColumns,
} from '@/core/exchange/columns';
import type { DecimalSign } from '@/core/exchange/read-number';
import { readRow, rowKey, type RowOf } from '@/core/exchange/read-row';
import { readBattings, readFabrics } from '@/data/cloths';
import { readAllCones } from '@/data/cones';
import { insertImport, readKeys, readMapping, rememberMapping, undoImport } from '@/data/exchange';
import { readNeedles } from '@/data/needles';
import type { Sql } from '@/data/sql';
import type { Context } from './context';
import { unreadable } from './readable';
import { conflict, done, refuse, type Result } from './result';
import { EachText, FormKey, Id, OneOf, Text } from './rules';
import { save } from './save';

const MOST_ROWS = 20_000;
const MOST_COLUMNS = 60;

/** A file as the browser read and mapped it; everything is read again here before anything is stored. */
export class ImportFile {
  @FormKey() key!: string;
  @OneOf(EXCHANGE_KINDS, 'Say what the file holds.') kind!: ExchangeKind;
  @Text(300) fileName!: string;
  @IsArray({ message: 'The file has no header row.' })
  @ArrayMaxSize(MOST_COLUMNS, { message: `At most ${MOST_COLUMNS} columns.` })
  @EachText(300)
  header!: string[];
  @IsArray({ message: 'Say which column is which.' })
  @ArrayMaxSize(MOST_COLUMNS, { message: `At most ${MOST_COLUMNS} columns.` })
  mapping!: Mapping;
  @IsArray({ message: 'The file has no rows.' })
  @ArrayMinSize(1, { message: 'The file has no rows under its header.' })
  @ArrayMaxSize(MOST_ROWS, { message: `At most ${MOST_ROWS} rows at once: part the file.` })
  rows!: string[][];
  @OneOf(['.', ','], 'A decimal sign is a point or a comma.') decimal!: DecimalSign;
  @OneOf(['all', 'good'], 'All rows, or the good ones.') take!: 'all' | 'good';
}

export interface Imported {
  batchId: string;
  stored: number;
  left: number;
}

/** Stores a file's rows: all of them or none, or the good ones, in one transaction. */
export const importFile = (context: Context, input: unknown): Promise<Result<Imported>> =>
  save<ImportFile, Imported>(context, 'import', ImportFile, input, async (tx, form) => {
    const { kind, mapping, header, rows, decimal } = form;
    const known = new Set(COLUMNS[kind].map((c) => c.id));
    if (mapping.some((id) => id !== null && !known.has(id)))
      return refuse('A column is mapped to something that is not known here.', 'mapping');
    const missing = missingColumns(kind, mapping);
    if (missing.length > 0)
      return refuse(`Say which column holds: ${missing.map((c) => c.label).join(', ')}.`, 'mapping');
    if (
      !rows.every(
        (r) => Array.isArray(r) && r.length <= MOST_COLUMNS && r.every((c) => typeof c === 'string'),
      )
    )
      return refuse('The rows could not be read.', 'rows');
    const taken = await readKeys(tx, kind);
    const good: RowOf[typeof kind][] = [];
    for (const cells of rows) {
      const { value } = readRow(kind, mapping, cells, decimal);
      if (!value) continue;
      const key = rowKey(kind, value);
      if (taken.has(key)) continue;
      taken.add(key);
      good.push(value);
    }
    const left = rows.length - good.length;
    if (form.take === 'all' && left > 0)
      return refuse(`${left} of ${rows.length} rows have problems; nothing was stored.`, 'rows');
    if (good.length === 0) return refuse('No row of this file can be stored.', 'rows');
    const batchId = uuidv7();
    await insertImport(tx, { id: batchId, kind, fileName: form.fileName }, good);
    await rememberMapping(tx, kind, headerKey(header), mapping);
    return done({ batchId, stored: good.length, left });
  });

const headerKey = (header: readonly string[]) => header.join('\t').toLowerCase().slice(0, 4000);

const isHeader = (header: unknown): header is string[] =>
  Array.isArray(header) && header.every((h) => typeof h === 'string');

/** How a file with this header was mapped last time, and which keys the studio already has. */
export async function importHints(sql: Sql, kind: ExchangeKind, header: readonly string[]) {
  if (!EXCHANGE_KINDS.includes(kind) || !isHeader(header) || unreadable(header))
    return { mapping: null, keys: [] };
  const [mapping, keys] = await Promise.all([readMapping(sql, kind, headerKey(header)), readKeys(sql, kind)]);
  return { mapping: mapping?.length === header.length ? mapping : null, keys: [...keys] };
}

export class UndoImport {
  @FormKey() key!: string;
  @Id('This import is not known.') batchId!: string;
}

export const undoImported = (
  context: Context,
  input: unknown,
): Promise<Result<{ removed: number; putAway: number; edited: number }>> =>
  save<UndoImport, { removed: number; putAway: number; edited: number }>(
    context,
    'undo-import',
    UndoImport,
    input,
    async (tx, form) => {
      const result = await undoImport(tx, form.batchId);
      return result ? done(result) : conflict('This import was already taken back.');
    },
  );

/** What a spreadsheet may run: behind blanks and line breaks too, and in full width. */
export const FORMULA = /^[\s\u0000-\u001f]*[=+\-@\uff1d\uff0b\uff0d\uff20]|^[\t\r]/;
const fixed = (n: number | null, digits = 3) => (n === null ? '' : String(Number(n.toFixed(digits))));

/** The rows of a kind as the columns of our own files. */
async function rowsOf(sql: Sql, kind: ExchangeKind): Promise<Record<string, string>[]> {
  switch (kind) {
    case 'cones':
      return (await readAllCones(sql))
        .filter((c) => !c.archivedAt)
        .map((c) => ({
          ...pickText(c, [
            'line',
            'colour',
            'hex',
            'fibre',
            'label',
            'role',
            'sheen',
            'place',
            'batch',
            'notes',
          ]),
          hexes: c.hexes.join(' '),
          runIn: fixed(c.runIn),
          tex: c.texBasis === 'measured' ? '' : fixed(c.tex),
          remainingM: fixed(c.remainingM, 1),
          fullG: fixed(c.fullG),
          fullM: fixed(c.fullM),
          tareG: fixed(c.tareG),
          needleMinNm: fixed(c.needleMinNm),
          needleMaxNm: fixed(c.needleMaxNm),
          price: fixed(c.price, 2),
        }));
    case 'battings':
      return (await readBattings(sql))
        .filter((b) => !b.shipped)
        .map((b) => ({
          ...pickText(b, ['name', 'kind', 'ratingText', 'notes']),
          loftMm: fixed(b.loftMm),
          maxGapIn: fixed(b.maxGapIn),
          shrinkPct: fixed(b.shrinkPct),
        }));
    case 'fabrics':
      return (await readFabrics(sql))
        .filter((f) => !f.shipped)
        .map((f) => pickText(f, ['name', 'kind', 'hex', 'notes']));
    case 'needles':
      return (await readNeedles(sql)).map((n) => ({
        nm: String(n.nm),
        eye: n.eye,
        point: n.point,
        coated: n.coated ? 'yes' : 'no',
        stock: String(n.stock),
      }));
  }
}

const pickText = <T extends object>(row: T, keys: readonly (keyof T & string)[]) =>
  Object.fromEntries(keys.map((k) => [k, row[k] == null ? '' : String(row[k])]));

/** A kind as CSV with our header; cells that a spreadsheet would run as formulas are made plain text. */
export async function exportCsv(sql: Sql, kind: ExchangeKind): Promise<string> {
  const rows = await rowsOf(sql, kind);
  return Papa.unparse(
    {
      fields: COLUMNS[kind].map((c) => c.label),
      data: rows.map((r) => COLUMNS[kind].map((c) => r[c.id] ?? '')),
    },
    { escapeFormulae: FORMULA, newline: '\r\n' },
  );
}
