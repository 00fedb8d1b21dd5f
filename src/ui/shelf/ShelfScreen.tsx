'use client';
import { Plus } from 'lucide-react';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';
import { useRouter } from 'next/navigation';
import { useDeferredValue, useMemo, useState } from 'react';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import { fibres } from '@/core/tables/fibres';
import type { Cone } from '@/data/types';
import { Button, ButtonLink } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';
import { numberOf } from '@/ui/kit/number-of';
import { newKey, useActionForm } from '@/ui/kit/use-action-form';
import { ALL, NO_FILTER, shelve, type ShelfFilter } from './filter';
import { unpackCones } from './packed';
import { type Listed, useRest } from '@/ui/kit/use-rest';
import { ShelfRows } from './ShelfRows';

const ShelfTable = dynamic(() => patiently(() => import('./ShelfTable')).then((m) => m.ShelfTable));
const ConeDialog = dynamic(() => patiently(() => import('./ConeDialog')).then((m) => m.ConeDialog));
const ConePanel = dynamic(() => patiently(() => import('./ConePanel')).then((m) => m.ConePanel));
const PasteDialog = dynamic(() => patiently(() => import('./PasteDialog')).then((m) => m.PasteDialog));
const ManyDialog = dynamic(() => patiently(() => import('./ManyDialog')).then((m) => m.ManyDialog));

const MOST_COMPARED = 6;
const control = 'min-h-11 rounded border border-rule bg-cloth px-3 text-16';
const asNumber = (text: string) => {
  const n = numberOf(text);
  return typeof n === 'number' ? n : null;
};

/** The studio's threads: as spools on shelves or as a table, filtered, picked and compared. */
export function ShelfScreen({ shelf, lowM, open }: { shelf: Listed; lowM: number; open?: string }) {
  const text = useRest(shelf);
  const cones = useMemo(() => unpackCones(text), [text]);
  const router = useRouter();
  const [view, setView] = useState<'spools' | 'table'>('spools');
  const [filter, setFilter] = useState<ShelfFilter>(NO_FILTER);
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const [openId, setOpenId] = useState<string | null>(open ?? null);
  const [editing, setEditing] = useState<Cone | 'new' | null>(null);
  const [many, setMany] = useState(false);
  const [pasting, setPasting] = useState(false);
  const settled = useDeferredValue(filter);
  const shown = useMemo(() => shelve(cones, settled, lowM), [cones, settled, lowM]);
  const set = (part: Partial<ShelfFilter>) => setFilter((f) => ({ ...f, ...part }));
  const pick = (id: string) =>
    setPicked((now) => {
      const next = new Set(now);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  const archive = useActionForm(doors.editMany, ({ count }) => {
    const ids = [...picked];
    const undo = () =>
      void doors
        .editMany({ key: newKey(), ids, archive: filter.away ? 'away' : 'back' })
        .then((r) => toast(r.ok ? 'As it was.' : r.problems[0]!.message));
    toast(`${count} ${filter.away ? 'taken out again' : 'put away'}.`, {
      action: { label: 'Undo', onClick: undo },
    });
    setPicked(new Set());
  });
  const opened = cones.find((c) => c.id === openId);
  const filtered = JSON.stringify(filter) !== JSON.stringify({ ...NO_FILTER, order: filter.order });

  return (
    <div className="px-6 pt-4">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="text-24">Thread shelf</h1>
        <p className="flex-1 text-ink2">
          {shown.length === cones.length ? `${shelf.count} cones` : `${shown.length} of ${shelf.count} cones`}
          {picked.size > 0 && `, ${picked.size} picked`}
        </p>
        {picked.size > 0 && (
          <>
            <Button look="quiet" onClick={() => setPicked(new Set())}>
              Pick none
            </Button>
            <Button
              look="quiet"
              disabled={archive.pending}
              onClick={() => archive.send({ ids: [...picked], archive: filter.away ? 'back' : 'away' })}
            >
              {filter.away ? 'Take out again' : 'Put away'}
            </Button>
            <Button onClick={() => setMany(true)}>Change {picked.size}</Button>
          </>
        )}
        {picked.size >= 2 && (
          <Button
            disabled={picked.size > MOST_COMPARED}
            title={picked.size > MOST_COMPARED ? 'Two to six cones lie side by side' : undefined}
            onClick={() => router.push(`/shelf/compare?ids=${[...picked].join(',')}`)}
          >
            Compare {picked.size}
          </Button>
        )}
        <ButtonLink href="/workroom/files" look="quiet">
          Files in and out
        </ButtonLink>
        <Button onClick={() => setPasting(true)}>Paste labels</Button>
        <Button look="act" onClick={() => setEditing('new')}>
          <Plus size={18} aria-hidden /> Add a line
        </Button>
      </div>
      {cones.length === 0 ? (
        <Empty
          title="The shelf is empty"
          act={
            <span className="inline-flex gap-3">
              <Button look="act" onClick={() => setEditing('new')}>
                Add the first line
              </Button>
              <Button onClick={() => setPasting(true)}>Paste labels</Button>
              <ButtonLink href="/workroom/files">Bring in a CSV file</ButtonLink>
            </span>
          }
        >
          Type a cone’s label as it is printed, and its thickness and strength are worked out; matching then
          chooses from what you own.
        </Empty>
      ) : (
        <>
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
                onChange={(e) => {
                  set({ away: e.target.checked });
                  setPicked(new Set());
                }}
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
            <div role="group" aria-label="View" className="flex">
              {(['spools', 'table'] as const).map((v) => (
                <button
                  key={v}
                  type="button"
                  aria-pressed={view === v}
                  onClick={() => setView(v)}
                  className={`min-h-11 border border-rule px-3 ${view === v ? 'bg-indigo font-semibold text-on-act' : 'bg-cloth'}`}
                >
                  {v === 'spools' ? 'Spools' : 'Table'}
                </button>
              ))}
            </div>
          </div>
          {shown.length === 0 ? (
            <Empty
              title="No cone fits"
              act={
                filtered && (
                  <Button onClick={() => setFilter({ ...NO_FILTER, order: filter.order })}>
                    Show the whole shelf
                  </Button>
                )
              }
            >
              {filter.away ? 'Nothing is put away.' : 'Nothing on the shelf fits all of these at once.'}
            </Empty>
          ) : view === 'spools' ? (
            <div className="pt-3">
              <ShelfRows
                cones={shown}
                picked={picked}
                onPick={pick}
                onOpen={(c) => setOpenId(c.id)}
                lowM={lowM}
              />
            </div>
          ) : (
            <ShelfTable
              cones={shown}
              picked={picked}
              onPick={pick}
              onPickAll={(ids) => setPicked(new Set(ids))}
              onOpen={(c) => setOpenId(c.id)}
            />
          )}
        </>
      )}
      {opened && !editing && (
        <ConePanel cone={opened} onEdit={() => setEditing(opened)} onClose={() => setOpenId(null)} />
      )}
      {editing && (
        <ConeDialog
          cone={editing === 'new' ? null : editing}
          onClose={() => {
            setEditing(null);
            setOpenId(null);
          }}
        />
      )}
      {pasting && <PasteDialog onClose={() => setPasting(false)} />}
      {many && (
        <ManyDialog
          ids={[...picked]}
          onClose={() => {
            setMany(false);
            setPicked(new Set());
          }}
        />
      )}
    </div>
  );
}
