'use client';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useMemo, useRef, useState } from 'react';
import { toast } from '@/ui/kit/toast';
import { doors, looks } from '@/actions/doors';
import {
  COLUMNS,
  type ExchangeKind,
  guessMapping,
  type Mapping,
  missingColumns,
} from '@/core/exchange/columns';
import { type CellProblem, columnLabel, readRow, rowKey } from '@/core/exchange/read-row';
import type { Imported } from '@/actions/exchange';
import { sendFile } from '@/ui/kit/send-file';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { newKey, useActionForm } from '@/ui/kit/use-action-form';
import type { CsvFile } from './read-csv';

const sendRows = sendFile<Imported>('/import/rows');

interface Judged {
  row: number;
  problems: CellProblem[];
}
const ROW_H = 40;

interface PreviewProps {
  kind: ExchangeKind;
  file: CsvFile;
  onDone: () => void;
}

/** Which column is which: guessed, or as such a file was read the last time; and what the studio has already. */
function useMapping(kind: ExchangeKind, file: CsvFile) {
  const [mapping, setMapping] = useState<Mapping>(() => guessMapping(kind, file.header));
  const [decimal, setDecimal] = useState(file.decimal);
  const [taken, setTaken] = useState<ReadonlySet<string>>(new Set());
  const [remembered, setRemembered] = useState(false);
  useEffect(() => {
    let here = true;
    looks.importHints(kind, file.header).then(
      (h) => {
        if (!here) return;
        setTaken(new Set(h.keys));
        if (h.mapping) {
          setMapping(h.mapping);
          setRemembered(true);
        }
      },
      () => {},
    );
    return () => {
      here = false;
    };
  }, [kind, file.header]);
  return { mapping, setMapping, decimal, setDecimal, taken, remembered };
}

const takenBackWords = ({ removed, putAway, edited }: { removed: number; putAway: number; edited: number }) =>
  `Taken back: ${removed} removed${putAway > 0 ? `, ${putAway} in use and put away` : ''}${edited > 0 ? `; ${edited} were changed by hand since and stay` : ''}.`;

/** Stores the rows, with an undo that says what it took back. */
const useStoring = (onDone: () => void) =>
  useActionForm(sendRows, (done) => {
    toast(`${done.stored} stored${done.left > 0 ? `, ${done.left} left out` : ''}.`, {
      duration: 20_000,
      action: {
        label: 'Undo',
        onClick: () =>
          void doors
            .undoImport({ key: newKey(), batchId: done.batchId })
            .then((r) => toast(r.ok ? takenBackWords(r.value) : r.problems[0]!.message)),
      },
    });
    onDone();
  });

/** A file before it is stored: its columns mapped, every problem by row and column, then all rows or the good ones. */
export function ImportPreview({ kind, file, onDone }: PreviewProps) {
  const map = useMapping(kind, file);
  const { mapping, decimal, taken } = map;
  const missing = missingColumns(kind, mapping);
  const judged = useMemo(
    () => judge(kind, mapping, file.rows, decimal, taken),
    [kind, mapping, file.rows, decimal, taken],
  );
  const bad = judged.filter((j) => j.problems.some((p) => p.severity === 'error'));
  const flagged = judged.filter((j) => j.problems.length > 0 && !bad.includes(j));
  const good = file.rows.length - bad.length;
  const { send, pending, problems } = useStoring(onDone);
  const store = (take: 'all' | 'good') =>
    send({ kind, fileName: file.name, header: file.header, mapping, rows: file.rows, decimal, take });
  return (
    <div className="mt-4">
      <FileFacts file={file} {...map} />
      <ColumnsMapped kind={kind} file={file} {...map} />
      {missing.length > 0 ? (
        <p role="alert" className="mt-2 font-medium text-madder">
          Say which column holds: {missing.map((c) => c.label).join(', ')}.
        </p>
      ) : (
        <>
          <p aria-live="polite" className="mt-3">
            <b className="font-semibold text-verdigris">{good} good</b>
            {flagged.length > 0 && <>, {flagged.length} of them with something unknown</>}
            {bad.length > 0 && <b className="font-semibold text-madder">, {bad.length} with problems</b>}.
          </p>
          {bad.length + flagged.length > 0 && <ProblemList kind={kind} judged={[...bad, ...flagged]} />}
          <div className="mt-3 flex flex-wrap gap-3">
            {bad.length === 0 ? (
              <Button look="act" disabled={pending || good === 0} onClick={() => store('all')}>
                Store all {file.rows.length}
              </Button>
            ) : (
              <Button look="act" disabled={pending || good === 0} onClick={() => store('good')}>
                Store the {good} good ones
              </Button>
            )}
            <Button look="quiet" onClick={onDone}>
              Leave it
            </Button>
          </div>
        </>
      )}
      <div className="mt-2">
        <Problems problems={problems} />
      </div>
    </div>
  );
}

type Mapped = ReturnType<typeof useMapping>;

function FileFacts({ file, decimal, setDecimal, remembered }: Mapped & { file: CsvFile }) {
  return (
    <p>
      <b className="font-semibold">{file.name}</b>: {file.rows.length} rows, {file.encoding}, parted by{' '}
      {{ ',': 'commas', ';': 'semicolons', '\t': 'tabs' }[file.delimiter] ?? `“${file.delimiter}”`}
      {remembered && ', read as the last time'}
      <label className="ml-4 inline-flex min-h-11 items-center gap-2">
        decimals by
        <select
          className="min-h-11 rounded border border-rule bg-cloth px-2"
          value={decimal}
          onChange={(e) => setDecimal(e.target.value as '.' | ',')}
        >
          <option value=".">point</option>
          <option value=",">comma</option>
        </select>
      </label>
    </p>
  );
}

/** The first rows under their columns, each to be said what it holds. */
function ColumnsMapped({ kind, file, mapping, setMapping }: Mapped & { kind: ExchangeKind; file: CsvFile }) {
  return (
    <>
      <h3 className="mt-2 text-[17px]">Which column is which</h3>
      <div className="mt-1 overflow-x-auto" tabIndex={0} role="group" aria-label="Columns">
        <table>
          <thead>
            <tr>
              {file.header.map((h, i) => (
                <th key={i} className="min-w-[150px] border px-2 py-1 text-left align-top font-semibold">
                  {h || `column ${i + 1}`}
                  <select
                    aria-label={`Column ${h || i + 1} holds`}
                    className="mt-1 block min-h-11 w-full rounded border border-rule bg-cloth px-2 font-normal"
                    value={mapping[i] ?? ''}
                    onChange={(e) =>
                      setMapping(
                        mapping.map((m, k) =>
                          k === i ? e.target.value || null : m === e.target.value ? null : m,
                        ),
                      )
                    }
                  >
                    <option value="">leave out</option>
                    {COLUMNS[kind].map((c) => (
                      <option key={c.id} value={c.id}>
                        {c.label}
                      </option>
                    ))}
                  </select>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {file.rows.slice(0, 3).map((r, i) => (
              <tr key={i}>
                {file.header.map((_, k) => (
                  <td key={k} className="max-w-[220px] truncate border px-2 py-1">
                    {r[k]}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

/** Every row read as it will be stored, with doubles in the file and on the shelf pointed out. */
function judge(
  kind: ExchangeKind,
  mapping: Mapping,
  rows: readonly string[][],
  decimal: '.' | ',',
  taken: ReadonlySet<string>,
): Judged[] {
  const seen = new Map<string, number>();
  return rows.map((cells, i) => {
    const { value, problems } = readRow(kind, mapping, cells, decimal);
    const row = i + 2;
    if (!value) return { row, problems };
    const key = rowKey(kind, value);
    const first = seen.get(key);
    seen.set(key, first ?? row);
    const column = COLUMNS[kind][0]!.id;
    const double: CellProblem[] = taken.has(key)
      ? [{ column, severity: 'error', message: 'Is already here.' }]
      : first !== undefined
        ? [{ column, severity: 'error', message: `Stands in row ${first} already.` }]
        : [];
    return { row, problems: [...double, ...problems] };
  });
}

function ProblemList({ kind, judged }: { kind: ExchangeKind; judged: readonly Judged[] }) {
  const lines = useMemo(() => judged.flatMap((j) => j.problems.map((p) => ({ row: j.row, ...p }))), [judged]);
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: lines.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_H,
    overscan: 8,
  });
  return (
    <div
      ref={scroller}
      role="list"
      tabIndex={0}
      aria-label="Problems by row and column"
      className="mt-2 max-h-[240px] overflow-auto border-y"
    >
      <div style={{ height: virtual.getTotalSize(), position: 'relative' }}>
        {virtual.getVirtualItems().map((item) => {
          const l = lines[item.index]!;
          return (
            <p
              key={item.key}
              role="listitem"
              className="absolute left-0 flex w-full items-center gap-3 border-b px-1"
              style={{ transform: `translateY(${item.start}px)`, height: ROW_H }}
            >
              <span className="w-16 shrink-0">row {l.row}</span>
              <span className="w-36 shrink-0 truncate font-semibold">{columnLabel(kind, l.column)}</span>
              <span
                className={`truncate ${l.severity === 'error' ? 'text-madder' : 'text-weld-text'}`}
                title={l.message}
              >
                {l.severity === 'flag' && 'Unknown: '}
                {l.message}
              </span>
            </p>
          );
        })}
      </div>
    </div>
  );
}
