'use client';
import { format, parseISO } from 'date-fns';
import { Printer, Scissors, ShoppingBasket, Spool } from 'lucide-react';
import type { ListedLine } from '@/actions/shopping';
import { doors } from '@/actions/doors';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { Taps } from '@/ui/kit/Taps';
import { useActionForm } from '@/ui/kit/use-action-form';

const ACT = {
  buy: ['Buy', ShoppingBasket],
  wind: ['Wind', Spool],
  cut: ['Cut', Scissors],
} as const;
const STATES = [
  { value: 'get', label: 'to get' },
  { value: 'ordered', label: 'ordered' },
  { value: 'here', label: 'here' },
] as const;
const DONE = [
  { value: 'get', label: 'to do' },
  { value: 'here', label: 'done' },
] as const;
const day = (iso: string) => format(parseISO(iso), 'EEE d MMM');

/** What waits to be bought, wound or cut; each line with its day, its reason and where it stands. */
export function ShoppingList({ lines }: { lines: readonly ListedLine[] }) {
  const { send, problems } = useActionForm(doors.markLine, () => {});
  const open = lines.filter((l) => l.state === 'get');
  const rest = lines.filter((l) => l.state !== 'get');
  return (
    <div className="mx-auto max-w-[1180px] px-6 pt-4 pb-10 max-sm:px-4">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="flex-1 text-24">Shopping and winding</h1>
        <a
          download
          href="/shopping/file"
          className="inline-flex min-h-11 items-center rounded border-[1.5px] border-rule px-4 font-semibold print:hidden"
        >
          Download CSV
        </a>
        <Button look="quiet" className="print:hidden" onClick={() => window.print()}>
          <Printer size={18} aria-hidden /> Print
        </Button>
      </div>
      <p className="text-ink2">
        For everything on the calendar, by the day it is needed: needles and bobbins a day before the frame,
        thread two, batting and backing three, five where it is washed first. Orders take about five days.
      </p>
      <Problems problems={problems} />
      {open.length === 0 ? (
        <p className="mt-4 border-t-2 border-ink pt-3">Nothing is lacking for what waits.</p>
      ) : (
        <Lines lines={open} mark={(line, state) => send({ line, state })} />
      )}
      {rest.length > 0 && (
        <section aria-label="Ordered or here" className="mt-6 print:hidden">
          <h2 className="text-20">Ordered or here</h2>
          <Lines lines={rest} mark={(line, state) => send({ line, state })} />
        </section>
      )}
    </div>
  );
}

/** By when a line is to be done, in a few words. */
function whenWords({ late, act, orderOn, neededOn }: ListedLine): string {
  if (late) return act === 'buy' ? 'order now' : 'now';
  if (orderOn) return `order by ${day(orderOn)}`;
  return neededOn ? `by ${day(neededOn)}` : 'runs low';
}

function Lines({
  lines,
  mark,
}: {
  lines: readonly ListedLine[];
  mark: (line: string, state: 'ordered' | 'here' | null) => void;
}) {
  return (
    <ul className="mt-3 border-t-2 border-ink">
      {lines.map((l) => {
        const [word, Sign] = ACT[l.act];
        const by = whenWords(l);
        return (
          <li
            key={l.key}
            className="grid items-center gap-x-4 gap-y-0.5 border-b py-1.5 sm:grid-cols-[84px_minmax(0,1.1fr)_minmax(0,1.4fr)_146px_200px]"
          >
            <span className="flex items-center gap-2 font-semibold">
              <Sign size={18} aria-hidden /> {word}
            </span>
            <span className="min-w-0">
              <b className="font-semibold">{l.what}</b>
              <span className="block">{l.amount}</span>
            </span>
            <span className="text-ink2">{l.why}.</span>
            <span className={l.urgent && l.state === 'get' ? 'font-semibold text-madder' : ''}>
              {by}
              {(l.orderOn || l.late) && l.neededOn && (
                <span className="block text-13 text-ink2">needed {day(l.neededOn)}</span>
              )}
            </span>
            <span className="justify-self-end print:hidden">
              <Taps
                label={`${l.what}: where it stands`}
                hideLabel
                value={l.state}
                onChange={(s) => mark(l.key, s === 'get' ? null : (s as 'ordered' | 'here'))}
                options={l.act === 'buy' ? STATES : DONE}
              />
            </span>
          </li>
        );
      })}
    </ul>
  );
}
