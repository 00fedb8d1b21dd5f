'use client';
import { Plus, Trash2 } from 'lucide-react';
import { BUSY } from '@/core/fields/lists';
import { CLOTH_ROLES, type ClothRole } from '@/core/fields/lists';
import type { StudioFabric } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { Choice } from '@/ui/kit/Choice';
import { ColourField } from '@/ui/kit/ColourField';
import { Taps } from '@/ui/kit/Taps';
import { TextField } from '@/ui/kit/Field';
import { numberOf } from '@/ui/kit/number-of';

/** A cloth as it is being described. */
export interface ClothSaid {
  fabricId: string;
  /** Empty while nobody has given it. */
  hex: string;
  share: string;
  role?: string;
  sewnOver?: boolean;
  busyness?: string;
}

const ROLE_LABEL: Record<ClothRole, string> = { ground: 'ground', print: 'print', motif: 'motif' };
const ROLES = CLOTH_ROLES.map((value) => ({ value, label: ROLE_LABEL[value] }));

/** A cloth whose colour nobody has given yet is sent without one. */
export function clothSent(c: ClothSaid) {
  const share = numberOf(c.share);
  return {
    fabricId: c.fabricId,
    hex: c.hex === '' ? null : c.hex,
    share: typeof share === 'number' ? share / 100 : share,
    role: c.role ?? 'ground',
    sewnOver: c.sewnOver ?? true,
    busyness: c.busyness === undefined || c.busyness === '-' ? null : Number(c.busyness),
  };
}

/** The cloths of a zone or of a whole top: which, of what colour and share, what each is there for. */
export function ClothFields({
  cloths,
  fabrics,
  change,
  problemAt,
}: {
  cloths: readonly ClothSaid[];
  fabrics: readonly StudioFabric[];
  change: (cloths: ClothSaid[]) => void;
  problemAt: (path: string) => string | undefined;
}) {
  const set = (i: number, part: Partial<ClothSaid>) =>
    change(cloths.map((c, k) => (k === i ? { ...c, ...part } : c)));
  return (
    <>
      <ul className="mt-1">
        {cloths.map((c, i) => (
          <li
            key={i}
            className="grid items-end gap-x-2 gap-y-1.5 border-b py-2 sm:grid-cols-[1.2fr_1.3fr_90px_44px]"
          >
            <Choice
              id={`cloth-${i}`}
              label="Fabric"
              value={c.fabricId}
              onChange={(fabricId) => set(i, { fabricId })}
              options={fabrics.map((f) => ({ value: f.id, label: f.name }))}
              error={problemAt(`fabrics.${i}.fabricId`)}
            />
            <ColourField
              id={`cloth-hex-${i}`}
              label="Colour"
              hint="empty: not known yet"
              value={c.hex}
              onChange={(hex) => set(i, { hex })}
              error={problemAt(`fabrics.${i}.hex`)}
            />
            <TextField
              id={`cloth-share-${i}`}
              label="Share, %"
              inputMode="decimal"
              value={c.share}
              onChange={(e) => set(i, { share: e.target.value })}
              error={problemAt(`fabrics.${i}.share`)}
            />
            <button
              type="button"
              aria-label={`Take fabric ${i + 1} out`}
              disabled={cloths.length === 1}
              className="grid size-11 place-items-center"
              onClick={() => change(cloths.filter((_, k) => k !== i))}
            >
              <Trash2 size={18} aria-hidden />
            </button>
            <div className="flex flex-wrap items-center gap-x-5 gap-y-1.5 sm:col-span-4">
              <Taps
                label="It is"
                value={c.role ?? 'ground'}
                onChange={(role) => set(i, { role })}
                options={ROLES}
              />
              <Taps
                label="How busy"
                value={c.busyness ?? '-'}
                onChange={(busyness) => set(i, { busyness: c.busyness === busyness ? '-' : busyness })}
                options={BUSY}
              />
              <label className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5 accent-(--indigo)"
                  checked={c.sewnOver ?? true}
                  onChange={(e) => set(i, { sewnOver: e.target.checked })}
                />
                quilt over it
              </label>
            </div>
          </li>
        ))}
      </ul>
      <Button className="mt-2" onClick={() => change([...cloths, { fabricId: '', hex: '', share: '20' }])}>
        <Plus size={18} aria-hidden /> Another fabric
      </Button>
    </>
  );
}
