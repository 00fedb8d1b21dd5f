import { fibres } from '@/core/tables/fibres';
import { numberOf } from '@/ui/kit/number-of';
import { ALL, type ShelfFilter } from './filter';

const control = 'min-h-11 rounded border border-rule bg-cloth px-3 text-16';
const asNumber = (text: string) => {
  const n = numberOf(text);
  return typeof n === 'number' ? n : null;
};

/** How the shelf is looked at. */
export type ShelfLook = 'spools' | 'table';
type Set = (part: Partial<ShelfFilter>) => void;

/** What of the shelf is shown, in what order, and how. */
export function ShelfFilterBar({
  filter,
  onSet: set,
  view,
  onView,
}: {
  filter: ShelfFilter;
  onSet: Set;
  view: ShelfLook;
  onView: (v: ShelfLook) => void;
}) {
  return (
    <div
      role="search"
      aria-label="Filter the shelf"
      className="mt-3 flex flex-wrap items-center gap-2.5 border-y py-2"
    >
      <input
        aria-label="Find on the shelf"
        placeholder="Find"
        className={`${control} w-40`}
        value={filter.find}
        onChange={(e) => set({ find: e.target.value })}
      />
      <select
        aria-label="Fibre"
        className={control}
        value={filter.fibre}
        onChange={(e) => set({ fibre: e.target.value })}
      >
        <option value={ALL}>every fibre</option>
        {fibres.rows.map((f) => (
          <option key={f.id} value={f.id}>
            {f.label}
          </option>
        ))}
      </select>
      <span className="flex items-center gap-1.5">
        tex
        <input
          aria-label="tex from"
          inputMode="decimal"
          className={`${control} w-16`}
          onChange={(e) => set({ texFrom: asNumber(e.target.value) })}
        />
        to
        <input
          aria-label="tex to"
          inputMode="decimal"
          className={`${control} w-16`}
          onChange={(e) => set({ texTo: asNumber(e.target.value) })}
        />
      </span>
      <NearColour filter={filter} onSet={set} />
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5 accent-(--indigo)"
          checked={filter.low}
          onChange={(e) => set({ low: e.target.checked })}
        />
        running low
      </label>
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5 accent-(--indigo)"
          checked={filter.away}
          onChange={(e) => set({ away: e.target.checked })}
        />
        put away
      </label>
      <span className="flex-1" />
      <select
        aria-label="Order"
        className={control}
        value={filter.order}
        onChange={(e) => set({ order: e.target.value as ShelfFilter['order'] })}
      >
        <option value="colour">by colour</option>
        <option value="thickness">by thickness</option>
      </select>
      <LookSwitch view={view} onView={onView} />
    </div>
  );
}

function NearColour({ filter, onSet: set }: { filter: ShelfFilter; onSet: Set }) {
  return (
    <>
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5 accent-(--indigo)"
          checked={filter.near !== null}
          onChange={(e) => set({ near: e.target.checked ? '#31587a' : null })}
        />
        near a colour
      </label>
      {filter.near !== null && (
        <span className="flex items-center gap-2">
          <input
            type="color"
            aria-label="Colour to be near to"
            className="size-11 rounded border border-rule bg-cloth p-1"
            value={filter.near}
            onChange={(e) => set({ near: e.target.value })}
          />
          <label className="flex items-center gap-2">
            ΔE {filter.within}
            <input
              type="range"
              min={2}
              max={60}
              aria-label="How near, ΔE"
              className="w-28 accent-(--indigo)"
              value={filter.within}
              onChange={(e) => set({ within: Number(e.target.value) })}
            />
          </label>
        </span>
      )}
    </>
  );
}

function LookSwitch({ view, onView }: { view: ShelfLook; onView: (v: ShelfLook) => void }) {
  return (
    <div role="group" aria-label="View" className="flex">
      {(['spools', 'table'] as const).map((v) => (
        <button
          key={v}
          type="button"
          aria-pressed={view === v}
          onClick={() => onView(v)}
          className={`min-h-11 border border-rule px-3 ${view === v ? 'bg-indigo font-semibold text-on-act' : 'bg-cloth'}`}
        >
          {v === 'spools' ? 'Spools' : 'Table'}
        </button>
      ))}
    </div>
  );
}
