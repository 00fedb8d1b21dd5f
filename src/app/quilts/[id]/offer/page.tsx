import { format, parseISO } from 'date-fns';
import { goodUntil, moneyRange } from '@/actions/offer-words';
import { ask } from '@/actions/queries';
import { OFFER_STATE_LABEL } from '@/core/fields/offer';
import { ButtonLink } from '@/ui/kit/Button';
import { OfferForm } from '@/ui/offer/OfferForm';
import { OfferPaper } from '@/ui/offer/OfferPaper';
import { OfferState } from '@/ui/offer/OfferState';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';

export const metadata = { title: 'Offer' };

/** What a quilt will cost, line by line: reckoned, kept, agreed. */
export default async function OfferPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const { quilt } = view;
  const [sources, rates, offers, preferences] = await Promise.all([
    ask.readOfferSources(view),
    ask.readRates(),
    ask.readOffers(quilt.id),
    ask.readPreferences(),
  ]);
  const standing = offers.find((o) => o.state === 'offered' || o.state === 'agreed');
  const day = (iso: string) => format(parseISO(iso), 'd MMM yyyy');
  return (
    <QuiltFrame view={view} machine={machine} step="take-in" zoneId={zone?.id} page="take-in">
      <div className="flex flex-wrap items-center gap-3 print:hidden">
        <h2 className="flex-1 text-24">Offer for {quilt.name}</h2>
        <ButtonLink look="quiet" href="/workroom/rates">
          Rates
        </ButtonLink>
        {standing && (
          <>
            <ButtonLink look="quiet" href={`/quilts/${quilt.id}/letters?letter=offer`}>
              Letter
            </ButtonLink>
            <ButtonLink look="quiet" href={`/quilts/${quilt.id}/sheets/offer`}>
              Print
            </ButtonLink>
          </>
        )}
        <ButtonLink look="quiet" href={`/quilts/${quilt.id}/take-in`}>
          Back
        </ButtonLink>
      </div>
      {standing && (
        <div className="mt-2 border-b pb-3">
          <OfferPaper
            offer={standing.reckoned}
            currency={standing.currency}
            title={`Offer ${standing.n}, ${OFFER_STATE_LABEL[standing.state]}${standing.agreedOn ? ` on ${day(standing.agreedOn)}` : ''}`}
            note={standing.note}
            until={standing.state === 'offered' ? day(goodUntil(standing)) : undefined}
          />
          <OfferState
            key={standing.version}
            id={standing.id}
            version={standing.version}
            state={standing.state as 'offered' | 'agreed'}
          />
        </div>
      )}
      <OfferForm
        key={offers[0]?.version ?? 0}
        quilt={{ id: quilt.id, name: quilt.name, client: quilt.client }}
        sources={sources}
        rates={rates}
        currency={preferences!.currency}
        before={offers[0] ?? null}
      />
      {offers.length > 1 && (
        <section className="mt-4">
          <h3 className="text-[17px]">Before</h3>
          <ul>
            {offers
              .filter((o) => o !== standing)
              .map((o) => (
                <li key={o.id} className="border-b py-1.5">
                  Offer {o.n}, {day(o.madeOn)}: {moneyRange(o.lowMinor, o.highMinor, o.currency)},{' '}
                  {OFFER_STATE_LABEL[o.state]}
                </li>
              ))}
          </ul>
        </section>
      )}
    </QuiltFrame>
  );
}
