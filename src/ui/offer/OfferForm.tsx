'use client';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { Controller, useFieldArray, useForm, useWatch } from 'react-hook-form';
import { doors } from '@/actions/doors';
import type { OfferSources } from '@/actions/offers';
import { OFFER, SUPPLIED, type OfferFields, type SuppliedFields } from '@/core/fields/offer';
import { usualValues } from '@/core/fields/stored';
import { CoreError } from '@/core/notes';
import { type Offer, offerOf } from '@/core/quote/offer';
import { TASKS } from '@/core/tables/tasks';
import type { Rates } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { fromForm, toForm, type Values } from '@/ui/kit/field-spec';
import { formFields } from '@/ui/kit/form-fields';
import { Problems } from '@/ui/kit/Problems';
import { SpecInput } from '@/ui/kit/SpecInput';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';
import { OfferPaper } from './OfferPaper';

/** An offer as it stands in the form, reckoned while it is typed. */
export function OfferForm({
  quilt,
  sources,
  rates,
  currency,
  before,
}: {
  quilt: { id: string; name: string; client: string };
  sources: OfferSources;
  rates: Rates;
  currency: string;
  /** What the offer before asked, to begin from. */
  before: (OfferFields & { supplied: SuppliedFields[] }) | null;
}) {
  const router = useRouter();
  const specs = useMemo(() => formFields(OFFER, { currency }), [currency]);
  const rowSpecs = useMemo(() => formFields(SUPPLIED, { currency }), [currency]);
  const form = useForm<{ record: Values; supplied: Values[] }>({
    defaultValues: {
      record: toForm(
        specs,
        before ?? { ...usualValues(OFFER), basis: rates.basis, taxPct: rates.taxPct, tasks: USUAL },
      ),
      supplied: (before?.supplied ?? []).map((s) => toForm(rowSpecs, s)),
    },
  });
  const supplied = useFieldArray({ control: form.control, name: 'supplied' });
  const v = useWatch({ control: form.control }) as { record: Values; supplied: Values[] };
  const { send, pending, problems, problemAt } = useActionForm(doors.makeOffer, ({ n }) => {
    toast(`Offer ${n} is kept with ${quilt.name}.`);
    router.refresh();
  });
  const now = useMemo(() => reckon(), [v, sources, rates]); // eslint-disable-line react-hooks/exhaustive-deps -- what it reads is listed
  function reckon(): { offer: Offer } | { problem: string; path: string } {
    const asked = fromForm(specs, v.record) as unknown as OfferFields;
    const rows = (v.supplied ?? []).map((r) => fromForm(rowSpecs, r) as unknown as SuppliedFields);
    try {
      return {
        offer: offerOf({
          ...sources,
          rates,
          basis: asked.basis,
          tasks: asked.tasks ?? [],
          isRush: asked.isRush,
          taxPct: typeof asked.taxPct === 'number' ? asked.taxPct : 0,
          supplied: rows
            .filter((r) => typeof r.amount === 'number' && typeof r.priceMinor === 'number')
            .map((r) => ({ ...r, label: r.label || 'Supplied' })),
        }),
      };
    } catch (error) {
      if (error instanceof CoreError) return { problem: error.message, path: error.path ?? '' };
      throw error;
    }
  }
  const said = (name: string) =>
    problemAt(name) ?? ('problem' in now && now.path === name ? now.problem : undefined);
  return (
    <div className="mt-3 grid gap-x-8 gap-y-4 xl:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <form
        className="print:hidden"
        onSubmit={form.handleSubmit((values) => {
          if (!pending)
            send({
              ...fromForm(specs, values.record),
              quiltId: quilt.id,
              supplied: values.supplied.map((r) => fromForm(rowSpecs, r)),
            });
        })}
      >
        <div className="grid gap-3 sm:grid-cols-2">
          {specs.map((s) => (
            <div key={s.name} className={s.kind === 'checks' || s.kind === 'long' ? 'sm:col-span-2' : ''}>
              <Controller
                name={`record.${s.name}`}
                control={form.control}
                render={({ field }) => (
                  <SpecInput spec={s} value={field.value!} onChange={field.onChange} error={said(s.name)} />
                )}
              />
            </div>
          ))}
        </div>
        <h3 className="mt-4 text-[17px]">Supplied with it</h3>
        <p className="text-13 text-ink2">Batting, backing, binding fabric: each with its price.</p>
        {supplied.fields.map((row, i) => (
          <div
            key={row.id}
            className="mt-2 grid grid-cols-[2fr_1fr_1fr_1.2fr_auto] items-end gap-2 max-sm:grid-cols-2"
          >
            {rowSpecs.map((s) => (
              <Controller
                key={s.name}
                name={`supplied.${i}.${s.name}`}
                control={form.control}
                render={({ field }) => (
                  <SpecInput
                    spec={{ ...s, name: `supplied-${i}-${s.name}` }}
                    value={field.value ?? ''}
                    onChange={field.onChange}
                    error={problemAt(`supplied.${i}.${s.name}`)}
                  />
                )}
              />
            ))}
            <Button look="quiet" onClick={() => supplied.remove(i)} aria-label={`Remove line ${i + 1}`}>
              Remove
            </Button>
          </div>
        ))}
        <Button className="mt-2" onClick={() => supplied.append(toForm(rowSpecs, { amount: 1 }))}>
          Add
        </Button>
        <div className="mt-3">
          <Problems
            problems={problems}
            fields={[
              ...specs.map((s) => s.name),
              ...supplied.fields.flatMap((_, i) => rowSpecs.map((s) => `supplied.${i}.${s.name}`)),
            ]}
          />
        </div>
        <Button look="act" type="submit" disabled={pending || !('offer' in now)} className="mt-3 w-full">
          {before ? 'Make a new offer' : 'Make the offer'}
        </Button>
      </form>
      {'offer' in now ? (
        <OfferPaper
          offer={now.offer}
          currency={currency}
          title={`For ${quilt.client}: ${quilt.name}`}
          isDraft
        />
      ) : (
        <p role="alert" className="self-start border-l-4 border-weld bg-weld-tint px-3 py-2 font-medium">
          {now.problem}
        </p>
      )}
    </div>
  );
}

const USUAL = TASKS.rows.filter((t) => t.usual).map((t) => t.id);
