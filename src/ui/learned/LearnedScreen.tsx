'use client';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';
import type { LearnedView } from '@/actions/learned-view';
import { DrawingSvg } from '@/ui/draw/Marks';
import { Empty } from '@/ui/kit/Empty';
import { effectDots } from './effect-dots';
import { SearchList } from './SearchList';

const GuessChart = dynamic(() => patiently(() => import('./GuessChart')).then((m) => m.GuessChart), {
  ssr: false,
});

/** How the bands held, in one sentence. */
export function heldWords({ held, widening }: Pick<LearnedView, 'held' | 'widening'>): string {
  if (held.bands === 0) return '';
  const rest =
    widening > 1
      ? ` They are widened by ${widening.toFixed(1)} from now on.`
      : widening < 1
        ? ` They are narrowed to ${widening.toFixed(1)} from now on.`
        : '';
  return `Held against the log: ${held.inside} of the last ${held.bands} bands that should hold 8 times in 10 did.${rest}`;
}

/** What the studio's own log taught: the balance of its machine and threads, and the pace of its hands. */
export function LearnedScreen({ tension, held, widening, searches, hours, steps }: LearnedView) {
  return (
    <div className="mt-4 grid gap-x-10 gap-y-8 xl:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <section aria-label="Tension">
        <h2 className="border-t-2 border-ink pt-2 text-20">Tension</h2>
        {searches.length === 0 ? (
          <Empty title="No search is finished yet">
            Every test strip that ends balanced teaches the next first guess: what your machine, threads,
            batting and needle do to the balance.
          </Empty>
        ) : (
          <>
            <p className="mt-1">
              What each does to the balance ratio, from {searches.length}{' '}
              {searches.length === 1 ? 'search' : 'searches'}; the bar holds 8 times in 10, the number is how
              many searches it rests on. {heldWords({ held, widening })}
            </p>
            <DrawingSvg
              drawing={effectDots(tension)}
              className="mt-2 h-auto max-w-full"
              title={tension.map((d) => `${d.name} times ${Math.exp(d.mean).toFixed(2)}`).join(', ')}
            />
          </>
        )}
      </section>
      <section aria-label="Hours">
        <h2 className="border-t-2 border-ink pt-2 text-20">Hours</h2>
        {steps === 0 ? (
          <Empty title="No step is logged yet">
            Each step logged at the frame teaches how long your hands really take.
          </Empty>
        ) : (
          <>
            <p className="mt-1">
              What your hands make of the model’s minutes, from {steps} logged{' '}
              {steps === 1 ? 'step' : 'steps'}: above 1 you take longer.
            </p>
            <DrawingSvg
              drawing={effectDots(hours)}
              className="mt-2 h-auto max-w-full"
              title={hours.map((d) => `${d.name} times ${Math.exp(d.mean).toFixed(2)}`).join(', ')}
            />
          </>
        )}
      </section>
      {searches.length > 0 && (
        <>
          <section aria-label="First guesses">
            <h2 className="border-t-2 border-ink pt-2 text-20">First guesses, how far off</h2>
            <div className="mt-2">
              <GuessChart offPct={searches.map((s) => s.offPct)} />
            </div>
          </section>
          <section aria-label="Searches">
            <h2 className="border-t-2 border-ink pt-2 text-20">The searches</h2>
            <SearchList searches={[...searches].reverse()} />
          </section>
        </>
      )}
    </div>
  );
}
