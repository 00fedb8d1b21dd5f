import { format, parseISO } from 'date-fns';
import { goodUntil } from '@/actions/offer-words';
import { OfferPaper } from '@/ui/offer/OfferPaper';
import type { SheetFacts } from './sheet-facts';

/** The offer that stands, on one page. */
export function OfferSheet({ view, offers }: SheetFacts) {
  const standing = offers.find((o) => o.state === 'offered' || o.state === 'agreed');
  if (!standing) return <p>No offer stands for this quilt yet.</p>;
  const day = (iso: string) => format(parseISO(iso), 'd MMMM yyyy');
  return (
    <OfferPaper
      offer={standing.reckoned}
      currency={standing.currency}
      title={`Offer ${standing.n} for ${view.quilt.client}, ${day(standing.madeOn)}`}
      note={standing.note}
      until={standing.state === 'offered' ? day(goodUntil(standing)) : undefined}
    />
  );
}
