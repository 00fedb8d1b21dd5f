import { moneyRange } from '@/actions/offer-words';
import { hoursWords, type Offer } from '@/core/quote/offer';

/** An offer on one page: each line with its range, the sum, and what it rests on. */
export function OfferPaper({
  offer,
  currency,
  title,
  isDraft = false,
  note = '',
  until,
}: {
  offer: Offer;
  currency: string;
  title: string;
  isDraft?: boolean;
  note?: string;
  /** Last day it is good, in words. */
  until?: string;
}) {
  return (
    <section aria-label={isDraft ? 'The offer as it stands' : 'The offer'} className="self-start">
      <h3 className="border-b-2 border-ink pb-1 text-20">{title}</h3>
      {offer.lines.length === 0 ? (
        <p className="mt-2 text-ink2">Nothing is charged yet.</p>
      ) : (
        <table className="w-full">
          <tbody>
            {offer.lines.map((l, i) => (
              <tr key={i} className="border-b">
                <td className="py-1.5 pr-4">{l.label}</td>
                <td className="py-1.5 text-right font-semibold tabular-nums">
                  {moneyRange(l.low, l.high, currency)}
                </td>
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr className="border-b-2 border-ink text-20">
              <td className="py-2 pr-4 font-semibold">Together</td>
              <td className="py-2 text-right font-bold tabular-nums">
                {moneyRange(offer.low, offer.high, currency)}
              </td>
            </tr>
          </tfoot>
        </table>
      )}
      <p className="mt-2 text-ink2">
        {hoursWords(offer.frameHours)} at the frame
        {offer.tableHours.mid > 0 ? `, ${hoursWords(offer.tableHours)} at the table` : ''}: so it comes out 8
        times in 10.
      </p>
      {note && <p className="mt-2 whitespace-pre-line">{note}</p>}
      {until && <p className="mt-2">Good until {until}.</p>}
    </section>
  );
}
