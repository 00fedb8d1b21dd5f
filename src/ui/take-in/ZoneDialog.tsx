'use client';
import { Plus, Trash2 } from 'lucide-react';
import { Controller, useFieldArray, useForm } from 'react-hook-form';
import { toast } from 'sonner';
import { keepZoneAction } from '@/actions/server';
import { features } from '@/core/tables/features';
import { techniques } from '@/core/tables/techniques';
import type { StudioFabric, Zone } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { Choice } from '@/ui/kit/Choice';
import { ColourField } from '@/ui/kit/ColourField';
import { TextField } from '@/ui/kit/Field';
import { Modal } from '@/ui/kit/Modal';
import { numberOf } from '@/ui/kit/number-of';
import { Problems } from '@/ui/kit/Problems';
import { type FieldSpec, fromForm, SpecInput, toForm, type Values } from '@/ui/kit/RecordDialog';
import { useActionForm } from '@/ui/kit/use-action-form';

const FIELDS: readonly FieldSpec[] = [
  { name: 'name', label: 'Zone', kind: 'text' },
  {
    name: 'technique',
    label: 'Technique',
    kind: 'choice',
    options: techniques.rows.map((t) => ({ value: t.id, label: t.label })),
  },
  { name: 'spacingIn', label: 'Apart', kind: 'number', hint: 'in' },
  { name: 'smallestRadiusIn', label: 'Smallest curve', kind: 'number', hint: 'in, if you know it' },
  { name: 'lengthIn', label: 'Length of the lines', kind: 'number', hint: 'in, for ditch and outline' },
  {
    name: 'visibility',
    label: 'The stitching should',
    kind: 'choice',
    options: [
      { value: 'sink', label: 'sink in' },
      { value: 'texture', label: 'be texture' },
      { value: 'show', label: 'show' },
    ],
  },
  {
    name: 'features',
    label: 'What else is in it',
    kind: 'checks',
    options: features.rows.map((f) => ({ value: f.id, label: f.label })),
  },
];

/** A zone: what is stitched there, how far apart, on which cloths. */
export function ZoneDialog({
  zone,
  fabrics,
  onClose,
}: {
  zone: Zone;
  fabrics: StudioFabric[];
  onClose: () => void;
}) {
  const form = useForm<{ record: Values; cloths: { fabricId: string; hex: string; share: string }[] }>({
    defaultValues: {
      record: toForm(FIELDS, zone),
      cloths: zone.fabrics.map((f) => ({
        fabricId: f.fabricId,
        hex: f.hex,
        share: String(Math.round(f.share * 100)),
      })),
    },
  });
  const cloths = useFieldArray({ control: form.control, name: 'cloths' });
  const { send, pending, problems, problemAt } = useActionForm(keepZoneAction, () => {
    toast(`Zone ${zone.letter} is kept. A card that stands stays as it is until you choose again.`);
    onClose();
  });
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onClose()}
      title={`Zone ${zone.letter}, ${zone.name}`}
      about="The set-up is worked out from this."
      wide
    >
      <form
        className="mt-3"
        onSubmit={form.handleSubmit((v) => {
          if (pending) return;
          send({
            ...fromForm(FIELDS, v.record),
            id: zone.id,
            version: zone.version,
            fabrics: v.cloths.map((c) => {
              const share = numberOf(c.share);
              return {
                fabricId: c.fabricId,
                hex: c.hex,
                share: typeof share === 'number' ? share / 100 : share,
              };
            }),
          });
        })}
      >
        <div className="grid gap-3 sm:grid-cols-2">
          {FIELDS.map((s) => (
            <div key={s.name} className={s.kind === 'checks' ? 'sm:col-span-2' : ''}>
              <Controller
                name={`record.${s.name}`}
                control={form.control}
                render={({ field }) => (
                  <SpecInput
                    spec={s}
                    value={field.value!}
                    onChange={field.onChange}
                    error={problemAt(s.name)}
                  />
                )}
              />
            </div>
          ))}
        </div>
        <h3 className="mt-4 text-[17px]">Cloths in it</h3>
        <ul className="mt-1 space-y-2">
          {cloths.fields.map((f, i) => (
            <li key={f.id} className="grid items-end gap-2 sm:grid-cols-[1.2fr_1.3fr_90px_44px]">
              <Controller
                control={form.control}
                name={`cloths.${i}.fabricId`}
                render={({ field }) => (
                  <Choice
                    id={`cloth-${i}`}
                    label="Cloth"
                    value={field.value}
                    onChange={field.onChange}
                    options={fabrics.map((x) => ({ value: x.id, label: x.name }))}
                    error={problemAt(`fabrics.${i}.fabricId`)}
                  />
                )}
              />
              <Controller
                control={form.control}
                name={`cloths.${i}.hex`}
                render={({ field }) => (
                  <ColourField
                    id={`cloth-hex-${i}`}
                    label="Colour"
                    value={field.value}
                    onChange={field.onChange}
                    error={problemAt(`fabrics.${i}.hex`)}
                  />
                )}
              />
              <TextField
                id={`cloth-share-${i}`}
                label="Share, %"
                inputMode="decimal"
                error={problemAt(`fabrics.${i}.share`)}
                {...form.register(`cloths.${i}.share`)}
              />
              <button
                type="button"
                aria-label={`Take cloth ${i + 1} out`}
                className="grid size-11 place-items-center"
                disabled={cloths.fields.length === 1}
                onClick={() => cloths.remove(i)}
              >
                <Trash2 size={18} aria-hidden />
              </button>
            </li>
          ))}
        </ul>
        <Button
          className="mt-2"
          onClick={() => cloths.append({ fabricId: fabrics[0]!.id, hex: '#888888', share: '20' })}
        >
          <Plus size={18} aria-hidden /> Another cloth
        </Button>
        <div className="mt-2">
          <Problems problems={problems} fields={[...FIELDS.map((s) => s.name), 'fabrics']} />
        </div>
        <Button look="act" type="submit" disabled={pending} className="mt-3 w-full">
          Keep this zone
        </Button>
      </form>
    </Modal>
  );
}
