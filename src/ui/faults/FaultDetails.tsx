'use client';
import { Link } from '@/ui/kit/Link';
import { useCallback } from 'react';
import { Controller } from 'react-hook-form';
import type { NotedFault } from '@/actions/faults';
import { doors } from '@/actions/doors';
import { FAULT } from '@/core/fields/fault';
import type { FaultWay } from '@/core/fields/lists';
import { signs } from '@/core/tables/symptoms';
import type { Zone } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { type FieldSpec, fromForm } from '@/ui/kit/field-spec';
import { formFields } from '@/ui/kit/form-fields';
import { Problems } from '@/ui/kit/Problems';
import { SpecFields, useSpecForm } from '@/ui/kit/SpecFields';
import { Taps } from '@/ui/kit/Taps';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';
import { AddPhotograph } from '@/ui/test-strip/AddPhotograph';
import { Compass } from './Compass';

/** What is said in the first two taps. */
export interface Said {
  symptoms: string[];
  xIn: number | null;
  yIn: number | null;
  pass: number | null;
  zoneId: string | null;
}

const place = (zones: readonly Zone[]): readonly FieldSpec[] =>
  formFields(
    FAULT.filter((f) => f.id !== 'note'),
    { pick: { zoneId: zones.map((z) => ({ value: z.id, label: `${z.letter}, ${z.name}` })) } },
  );
/** A page below may have a note of its own: names within it must differ. */
const NOTE: FieldSpec = { name: 'faultNote', label: 'Note', kind: 'long' };
const HELD: readonly FieldSpec[] = [
  { name: 'severity', label: 'How bad', kind: 'text' },
  { name: 'direction', label: 'Direction', kind: 'text' },
  { name: 'photographId', label: 'Photograph', kind: 'text' },
  { name: 'state', label: 'State', kind: 'text' },
];
const FIELDS = ['zoneId', 'pass', 'xIn', 'yIn', 'note', 'direction'];

/** What is told of a fault that is noted: which way, how bad, where more exactly, a photograph, a word. */
export function FaultDetails({
  quiltId,
  noted,
  said,
  zones,
  onClose,
}: {
  quiltId: string;
  noted: NotedFault;
  said: Said;
  zones: Zone[];
  onClose: () => void;
}) {
  const where = place(zones);
  const { form, values } = useSpecForm([...where, NOTE, ...HELD], { ...said, state: 'fault' });
  const { send, pending, problems, problemAt } = useActionForm(
    doors.tellFault,
    useCallback(() => {
      toast(`Fault ${noted.n} is kept.`);
      onClose();
    }, [noted.n, onClose]),
  );
  const back = useActionForm(doors.takeBackFault, () => {
    toast(`Fault ${noted.n} is taken back.`);
    onClose();
  });
  const first = signs.get(said.symptoms[0]!);
  const photograph = String(values.photographId ?? '');
  return (
    <form
      className="mt-3 grid gap-5 md:grid-cols-2"
      onSubmit={form.handleSubmit((v) => {
        if (pending) return;
        send({
          ...fromForm(where, v),
          note: String(v.faultNote ?? ''),
          faultId: noted.id,
          version: noted.version,
          symptoms: said.symptoms,
          direction: v.direction || null,
          severity: v.severity === '' ? null : Number(v.severity),
          photographId: v.photographId || null,
          harmless: v.state === 'harmless',
        });
      })}
    >
      <div className="space-y-3">
        <Controller
          name="severity"
          control={form.control}
          render={({ field }) => (
            <div>
              <Taps
                label="How bad"
                value={String(field.value)}
                onChange={(v) => field.onChange(v)}
                options={['1', '2', '3'].map((v) => ({ value: v, label: v }))}
              />
              <p className="mt-0.5 min-h-5 text-13 text-ink2">
                {field.value
                  ? first.severity[Number(field.value) as 1 | 2 | 3]
                  : '1 a little to 3 cannot sew on'}
              </p>
            </div>
          )}
        />
        <Controller
          name="state"
          control={form.control}
          render={({ field }) => (
            <Taps
              label="It is"
              value={String(field.value)}
              onChange={field.onChange}
              options={[
                { value: 'fault', label: 'a fault' },
                { value: 'harmless', label: 'heard or seen, judged harmless' },
              ]}
            />
          )}
        />
        <SpecFields specs={[NOTE]} form={form} problemAt={() => problemAt('note')} className="grid gap-3" />
        <div className="flex flex-wrap items-center gap-3">
          <AddPhotograph
            ofId={quiltId}
            moment="fault"
            label={photograph ? 'Another photograph' : 'Add a photograph'}
            onKept={(id) => form.setValue('photographId', id)}
          />
          {photograph && (
            // eslint-disable-next-line @next/next/no-img-element -- a photograph from this app's own database
            <img
              src={`/photographs/${photograph}`}
              alt="The fault, photographed"
              className="max-h-[90px] border"
            />
          )}
        </div>
        {noted.known && <p className="text-13 text-ink2">Kept with it from card and log: {noted.known}.</p>}
      </div>
      <div className="space-y-3">
        <Controller
          name="direction"
          control={form.control}
          render={({ field }) => (
            <Compass
              value={(field.value || null) as FaultWay | null}
              onChange={(way) => field.onChange(way ?? '')}
              error={problemAt('direction')}
            />
          )}
        />
        <SpecFields specs={where} form={form} problemAt={problemAt} className="grid grid-cols-2 gap-2" />
        <Problems problems={[...problems, ...back.problems]} fields={FIELDS} />
        <div className="flex flex-wrap gap-2">
          <Button look="act" type="submit" disabled={pending} className="flex-1">
            Keep it so
          </Button>
          <Button
            look="quiet"
            disabled={back.pending}
            onClick={() => back.send({ faultId: noted.id, version: noted.version })}
          >
            Take it back
          </Button>
        </div>
        <Link
          className="inline-flex min-h-11 items-center text-indigo hover:underline"
          href={`/quilts/${quiltId}/faults/${noted.id}`}
          onClick={onClose}
        >
          Find its cause
        </Link>
      </div>
    </form>
  );
}
