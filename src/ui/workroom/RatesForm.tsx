'use client';
import { doors } from '@/actions/doors';
import { RATES } from '@/core/fields/offer';
import type { KindCameTo } from '@/core/quote/kinds';
import { WORK_KIND_LABEL } from '@/core/tables/techniques';
import type { Rates } from '@/data/types';
import { formFields } from '@/ui/kit/form-fields';
import { RecordForm } from '@/ui/kit/RecordForm';
import { toast } from '@/ui/kit/toast';

/** What the studio charges, and which kinds of work took longer than was offered. */
export function RatesForm({
  rates,
  currency,
  cameTo,
}: {
  rates: Rates;
  currency: string;
  cameTo: readonly KindCameTo[];
}) {
  return (
    <div className="grid gap-x-8 lg:grid-cols-[minmax(0,640px)_minmax(0,1fr)]">
      <RecordForm
        specs={formFields(RATES, { currency })}
        initial={rates}
        fixed={{ version: rates.version }}
        act={doors.keepRates}
        onDone={() => toast('Kept. Offers made from now on follow it.')}
        submit="Save"
      />
      <section className="mt-4" aria-label="Offered and taken">
        <h2 className="border-b-2 border-ink pb-1 text-20">Offered and taken</h2>
        {cameTo.length === 0 ? (
          <p className="mt-2 text-ink2">
            Nothing yet. Once quilts with an agreed offer are home, this says which kinds of work took longer
            than was offered.
          </p>
        ) : (
          <ul>
            {cameTo.map((k) => {
              const ratio = k.tookMin / k.offeredMin;
              return (
                <li key={k.kind} className="border-b py-1.5">
                  <b>{WORK_KIND_LABEL[k.kind]}</b>: {(k.offeredMin / 60).toFixed(1)} h offered,{' '}
                  {(k.tookMin / 60).toFixed(1)} h taken on {k.quilts} {k.quilts === 1 ? 'quilt' : 'quilts'}.{' '}
                  {ratio > 1.1 ? (
                    <span className="font-medium text-weld-text">
                      It is undercharged by {Math.round((ratio - 1) * 100)} %.
                    </span>
                  ) : ratio < 0.9 ? (
                    `It takes ${Math.round((1 - ratio) * 100)} % less than is offered.`
                  ) : (
                    'As offered.'
                  )}
                </li>
              );
            })}
          </ul>
        )}
      </section>
    </div>
  );
}
