'use client';
import { Plus } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { CONDITION_STATE_LABEL } from '@/core/fields/lists';
import { conditionAsks, CONDITION_KINDS } from '@/core/tables/conditions';
import type { Condition } from '@/data/types';
import type { Zone } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { patiently } from '@/ui/kit/patiently';
import type { ConditionQuilt } from './ConditionDialog';

const ConditionDialog = dynamic(() =>
  patiently(() => import('./ConditionDialog')).then((m) => m.ConditionDialog),
);

/** Whether work must wait for the client's word on it. */
export const waitsForWord = (c: Pick<Condition, 'kind' | 'sizeIn' | 'state'>): boolean => {
  const k = CONDITION_KINDS.find(c.kind);
  return (
    k !== undefined && conditionAsks(k, c.sizeIn) === 'agree' && (c.state === 'found' || c.state === 'told')
  );
};

/** What was found on a quilt when it arrived, each to be opened and said anew. */
export function Conditions({
  quilt,
  zones,
  list,
}: {
  quilt: ConditionQuilt;
  zones: Zone[];
  list: readonly Condition[];
}) {
  const [open, setOpen] = useState<Condition | 'new' | null>(null);
  return (
    <>
      {list.length > 0 && (
        <ul className="border-t-2 border-ink">
          {list.map((c) => (
            <li key={c.id} className="border-b">
              <button
                type="button"
                className="flex min-h-11 w-full flex-wrap items-center gap-x-3 py-1 text-left hover:bg-sunk"
                onClick={() => setOpen(c)}
              >
                <b className="w-5 text-right">{c.n}</b>
                <span className="font-semibold">{CONDITION_KINDS.find(c.kind)?.label}</span>
                <span className="min-w-0 flex-1 text-ink2">
                  {[c.side === 'back' ? 'back' : '', c.place, c.sizeIn ? `${c.sizeIn} in` : '', c.note]
                    .filter(Boolean)
                    .join(', ')}
                </span>
                <span className={waitsForWord(c) ? 'font-medium text-weld-text' : 'text-ink2'}>
                  {CONDITION_STATE_LABEL[c.state]}
                  {waitsForWord(c) && ': client must agree'}
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
      <Button className="mt-2" onClick={() => setOpen('new')}>
        <Plus size={18} aria-hidden /> Something found on it
      </Button>
      {open && (
        <ConditionDialog
          quilt={quilt}
          zones={zones}
          condition={open === 'new' ? null : open}
          onClose={() => setOpen(null)}
        />
      )}
    </>
  );
}
