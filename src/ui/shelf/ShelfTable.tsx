'use client';
import { sizeKnown } from '@/core/shelf/known';
import {
  columnVisibilityFeature,
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  sortFns,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useRef } from 'react';
import { fibres } from '@/core/tables/fibres';
import { breakGf, diameterMm } from '@/core/thread/thread';
import type { Cone } from '@/data/types';
import { Sourced } from '@/ui/kit/Sourced';
import { ThreadSwatch } from '@/ui/kit/Swatch';
import { CONE_ROLE_LABEL } from '@/core/fields/lists';

const features = tableFeatures({
  rowSortingFeature,
  columnVisibilityFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns,
});
const helper = createColumnHelper<typeof features, Cone>();
const whole = (n: number | null) => (n === null ? '' : String(Math.round(n)));

const columns = helper.columns([
  helper.accessor((c) => `${c.line} ${c.colour}`, {
    id: 'name',
    header: 'Thread',
    cell: ({ row }) => (
      <span className="flex items-center gap-2.5">
        <ThreadSwatch hex={row.original.hex} width={24} height={24} />
        <span className="truncate">
          <b className="font-semibold">{row.original.colour}</b> {row.original.line}
        </span>
      </span>
    ),
  }),
  helper.accessor((c) => fibres.find(c.fibre)?.label ?? c.fibre, { id: 'fibre', header: 'Fibre' }),
  helper.accessor('label', { header: 'Label' }),
  helper.accessor('tex', {
    header: 'tex',
    cell: ({ row }) => <Sourced of={sizeKnown(row.original)}>{Number(row.original.tex.toFixed(1))}</Sourced>,
  }),
  helper.accessor((c) => diameterMm(c), { id: 'mm', header: 'mm', cell: (x) => x.getValue().toFixed(3) }),
  helper.accessor((c) => breakGf(c), { id: 'break', header: 'Breaks, g', cell: (x) => whole(x.getValue()) }),
  helper.accessor('remainingM', { header: 'Left, m', cell: (x) => whole(x.getValue()) }),
  helper.accessor((c) => CONE_ROLE_LABEL[c.role], { id: 'role', header: 'Sewn' }),
  helper.accessor('sheen', { header: 'Sheen' }),
  helper.accessor((c) => (c.needleMinNm === null ? '' : `${c.needleMinNm}–${c.needleMaxNm}`), {
    id: 'needle',
    header: 'Maker’s Nm',
  }),
  helper.accessor('place', { header: 'Place' }),
  helper.accessor('price', { header: 'Price' }),
]);

/** Columns that may be left out of the table. */
const OPTIONAL = ['fibre', 'label', 'mm', 'break', 'role', 'sheen', 'needle', 'place', 'price'];
const WIDTHS: Record<string, string> = {
  name: 'minmax(190px,2fr)',
  fibre: 'minmax(110px,1fr)',
  label: 'minmax(100px,1fr)',
};
const ROW_H = 44;

/** The shelf as a table: sorted by any column, columns chosen, rows picked for a change to many at once. */
export function ShelfTable({
  cones,
  picked,
  onPick,
  onPickAll,
  onOpen,
}: {
  cones: Cone[];
  picked: ReadonlySet<string>;
  onPick: (id: string) => void;
  onPickAll: (ids: string[]) => void;
  onOpen: (cone: Cone) => void;
}) {
  const scroller = useRef<HTMLDivElement>(null);
  const table = useTable({
    features,
    columns,
    data: cones,
    getRowId: (c) => c.id,
    initialState: { columnVisibility: { sheen: false, price: false, break: false } },
  });
  const rows = table.getRowModel().rows;
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_H,
    overscan: 12,
    initialRect: { width: 1240, height: 560 },
  });
  const template = `44px ${table
    .getVisibleLeafColumns()
    .map((c) => WIDTHS[c.id] ?? 'minmax(76px,0.7fr)')
    .join(' ')}`;
  const allPicked = rows.length > 0 && rows.every((r) => picked.has(r.id));
  return (
    <>
      <details className="relative mb-1">
        <summary className="inline-flex min-h-11 items-center text-indigo underline-offset-2 hover:underline">
          Choose columns
        </summary>
        <div className="flex flex-wrap gap-x-5 border-b pb-2">
          {OPTIONAL.map((id) => {
            const column = table.getColumn(id)!;
            return (
              <label key={id} className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5 accent-(--indigo)"
                  checked={column.getIsVisible()}
                  onChange={(e) => column.toggleVisibility(e.target.checked)}
                />
                {String(column.columnDef.header)}
              </label>
            );
          })}
        </div>
      </details>
      <div
        ref={scroller}
        role="table"
        aria-label="Cones"
        aria-rowcount={rows.length + 1}
        className="h-[calc(100dvh-290px)] min-h-[320px] overflow-auto border-t-2 border-ink"
      >
        <div role="rowgroup" className="sticky top-0 z-10 bg-ground">
          <div role="row" className="grid items-center border-b" style={{ gridTemplateColumns: template }}>
            <span role="columnheader" className="grid place-items-center">
              <input
                type="checkbox"
                aria-label="Pick all that are shown"
                className="size-5 accent-(--indigo)"
                checked={allPicked}
                onChange={() => onPickAll(allPicked ? [] : rows.map((r) => r.id))}
              />
            </span>
            {table.getHeaderGroups()[0]!.headers.map((h) => {
              const sorted = h.column.getIsSorted();
              return (
                <span
                  key={h.id}
                  role="columnheader"
                  aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                >
                  <button
                    type="button"
                    onClick={h.column.getToggleSortingHandler()}
                    className="flex min-h-11 w-full items-center gap-1 text-left text-13 font-semibold text-ink2"
                  >
                    <table.FlexRender header={h} />
                    {sorted === 'asc' && <ArrowUp size={14} aria-hidden />}
                    {sorted === 'desc' && <ArrowDown size={14} aria-hidden />}
                  </button>
                </span>
              );
            })}
          </div>
        </div>
        <div role="rowgroup" style={{ height: virtual.getTotalSize(), position: 'relative' }}>
          {virtual.getVirtualItems().map((item) => {
            const row = rows[item.index]!;
            return (
              <div
                key={row.id}
                role="row"
                aria-rowindex={item.index + 2}
                className={`absolute left-0 grid w-full items-center border-b ${picked.has(row.id) ? 'bg-indigo-tint' : 'hover:bg-sunk'}`}
                style={{
                  transform: `translateY(${item.start}px)`,
                  height: ROW_H,
                  gridTemplateColumns: template,
                }}
              >
                <span role="cell" className="grid place-items-center">
                  <input
                    type="checkbox"
                    aria-label={`Pick ${row.original.line} ${row.original.colour}`}
                    className="size-5 accent-(--indigo)"
                    checked={picked.has(row.id)}
                    onChange={() => onPick(row.id)}
                  />
                </span>
                {row.getVisibleCells().map((cell, i) => (
                  <span key={cell.id} role="cell" className="truncate pr-2">
                    {i === 0 ? (
                      <button
                        type="button"
                        onClick={() => onOpen(row.original)}
                        className="block min-h-11 w-full truncate text-left hover:underline"
                      >
                        <table.FlexRender cell={cell} />
                      </button>
                    ) : (
                      <table.FlexRender cell={cell} />
                    )}
                  </span>
                ))}
              </div>
            );
          })}
        </div>
      </div>
    </>
  );
}
