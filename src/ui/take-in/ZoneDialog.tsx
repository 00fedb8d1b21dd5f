'use client';
import { useMemo } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import { ZONE, ZONE_FEATURES } from '@/core/fields/zone';
import { techniques } from '@/core/tables/techniques';
import type { StudioFabric, Yarn, Zone } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { Modal } from '@/ui/kit/Modal';
import { Problems } from '@/ui/kit/Problems';
import { type FieldSpec, fromForm, toForm, type Values } from '@/ui/kit/field-spec';
import { formFields } from '@/ui/kit/form-fields';
import { SpecInput } from '@/ui/kit/SpecInput';
import { useActionForm } from '@/ui/kit/use-action-form';
import { ClothFields, type ClothSaid, clothSent } from './ClothFields';

const couches = new Set(techniques.rows.filter((t) => t.couches).map((t) => t.id));
/** What is asked of a zone; the yarn only where one is laid. */
const fieldsFor = (yarns: readonly Yarn[]): readonly FieldSpec[] =>
  formFields([...ZONE, ZONE_FEATURES], {
    pick: { yarnId: yarns.map((y) => ({ value: y.id, label: y.name })) },
    none: { yarnId: yarns.length > 0 ? 'not picked yet' : 'none on the shelf yet: Workroom, Yarn' },
  }).map((s) => (s.name === 'yarnId' ? { ...s, when: (v) => couches.has(String(v.technique)) } : s));

/** A zone: what is stitched there, how far apart, on which cloths. */
export function ZoneDialog({
  zone,
  fabrics,
  yarns,
  onClose,
}: {
  zone: Zone;
  fabrics: StudioFabric[];
  yarns: readonly Yarn[];
  onClose: () => void;
}) {
  const FIELDS = useMemo(() => fieldsFor(yarns), [yarns]);
  const form = useForm<{ record: Values; cloths: ClothSaid[] }>({
    defaultValues: {
      record: toForm(FIELDS, { ...zone, yarnId: zone.yarn?.id ?? null }),
      cloths: zone.fabrics.map((f) => ({
        fabricId: f.fabricId,
        hex: f.hex ?? '',
        share: String(Math.round(f.share * 100)),
        role: f.role,
        sewnOver: f.sewnOver,
        busyness: f.busyness === null ? '-' : String(f.busyness),
      })),
    },
  });
  const record = useWatch({ control: form.control, name: 'record' });
  const { send, pending, problems, problemAt } = useActionForm(doors.keepZone, () => {
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
            fabrics: v.cloths.map(clothSent),
          });
        })}
      >
        <div className="grid gap-3 sm:grid-cols-2">
          {FIELDS.filter((s) => !s.when || s.when(record)).map((s) => (
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
        <h3 className="mt-4 text-[17px]">Fabrics in it</h3>
        <Controller
          control={form.control}
          name="cloths"
          render={({ field }) => (
            <ClothFields
              cloths={field.value}
              fabrics={fabrics}
              change={field.onChange}
              problemAt={problemAt}
            />
          )}
        />
        <div className="mt-2">
          <Problems problems={problems} fields={[...FIELDS.map((s) => s.name), 'fabrics']} />
        </div>
        <Button look="act" type="submit" disabled={pending} className="mt-3 w-full">
          Save
        </Button>
      </form>
    </Modal>
  );
}
