'use client';
import { Plus } from 'lucide-react';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';
import { useRouter } from 'next/navigation';
import { useDeferredValue, useMemo, useState } from 'react';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import type { Cone } from '@/data/types';
import { Button, ButtonLink } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';
import { newKey, useActionForm } from '@/ui/kit/use-action-form';
import { NO_FILTER, shelve, type ShelfFilter } from './filter';
import { unpackCones } from './packed';
import { type Listed, useRest } from '@/ui/kit/use-rest';
import { ShelfFilterBar, type ShelfLook } from './ShelfFilterBar';
import { ShelfRows } from './ShelfRows';

const ShelfTable = dynamic(() => patiently(() => import('./ShelfTable')).then((m) => m.ShelfTable));
const ConeDialog = dynamic(() => patiently(() => import('./ConeDialog')).then((m) => m.ConeDialog));
const ConePanel = dynamic(() => patiently(() => import('./ConePanel')).then((m) => m.ConePanel));
const PasteDialog = dynamic(() => patiently(() => import('./PasteDialog')).then((m) => m.PasteDialog));
const ManyDialog = dynamic(() => patiently(() => import('./ManyDialog')).then((m) => m.ManyDialog));

const MOST_COMPARED = 6;

/** The studio's threads: as spools on shelves or as a table, filtered, picked and compared. */
export function ShelfScreen({ shelf, lowM, open }: { shelf: Listed; lowM: number; open?: string }) {
  const text = useRest(shelf);
  const cones = useMemo(() => unpackCones(text), [text]);
  const [view, setView] = useState<ShelfLook>('spools');
  const [filter, setFilter] = useState<ShelfFilter>(NO_FILTER);
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const [openId, setOpenId] = useState<string | null>(open ?? null);
  const [editing, setEditing] = useState<Cone | 'new' | null>(null);
  const [many, setMany] = useState(false);
  const [pasting, setPasting] = useState(false);
  const settled = useDeferredValue(filter);
  const shown = useMemo(() => shelve(cones, settled, lowM), [cones, settled, lowM]);
  const set = (part: Partial<ShelfFilter>) => {
    setFilter((f) => ({ ...f, ...part }));
    // What is put away and what stands on the shelf are never picked together.
    if (part.away !== undefined) setPicked(new Set());
  };
  const pick = (id: string) =>
    setPicked((now) => {
      const next = new Set(now);
      if (!next.delete(id)) next.add(id);
      return next;
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
          <PickedActs
            ids={[...picked]}
            away={filter.away}
            onNone={() => setPicked(new Set())}
            onMany={() => setMany(true)}
          />
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
        <EmptyShelf onAdd={() => setEditing('new')} onPaste={() => setPasting(true)} />
      ) : (
        <>
          <ShelfFilterBar filter={filter} onSet={set} view={view} onView={setView} />
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

const EmptyShelf = ({ onAdd, onPaste }: { onAdd: () => void; onPaste: () => void }) => (
  <Empty
    title="The shelf is empty"
    act={
      <span className="inline-flex gap-3">
        <Button look="act" onClick={onAdd}>
          Add the first line
        </Button>
        <Button onClick={onPaste}>Paste labels</Button>
        <ButtonLink href="/workroom/files">Bring in a CSV file</ButtonLink>
      </span>
    }
  >
    Type a cone’s label as it is printed, and its thickness and strength are worked out; matching then chooses
    from what you own.
  </Empty>
);

/** What can be done with the cones that are picked. */
function PickedActs({
  ids,
  away,
  onNone,
  onMany,
}: {
  ids: readonly string[];
  away: boolean;
  onNone: () => void;
  onMany: () => void;
}) {
  const router = useRouter();
  const archive = useActionForm(doors.editMany, ({ count }) => {
    const undo = () =>
      void doors
        .editMany({ key: newKey(), ids, archive: away ? 'away' : 'back' })
        .then((r) => toast(r.ok ? 'As it was.' : r.problems[0]!.message));
    toast(`${count} ${away ? 'taken out again' : 'put away'}.`, { action: { label: 'Undo', onClick: undo } });
    onNone();
  });
  return (
    <>
      <Button look="quiet" onClick={onNone}>
        Pick none
      </Button>
      <Button
        look="quiet"
        disabled={archive.pending}
        onClick={() => archive.send({ ids, archive: away ? 'back' : 'away' })}
      >
        {away ? 'Take out again' : 'Put away'}
      </Button>
      <Button onClick={onMany}>Change {ids.length}</Button>
      {ids.length >= 2 && (
        <Button
          disabled={ids.length > MOST_COMPARED}
          title={ids.length > MOST_COMPARED ? 'Two to six cones lie side by side' : undefined}
          onClick={() => router.push(`/shelf/compare?ids=${ids.join(',')}`)}
        >
          Compare {ids.length}
        </Button>
      )}
    </>
  );
}
