import { stepId } from '@/core/plan/step-key';
import { partWords, type runOut } from '@/core/stand/state';
import type { ShownStep } from './stand-facts';
import { clockWords, nextWords } from './words';

/** What is sewn now, how, for how long; what changes after it, and when its bobbin ends. */
export function StepCard({
  step,
  next,
  sewnMs,
  clock,
  needle,
  out,
}: {
  step: ShownStep;
  next: ShownStep | undefined;
  sewnMs: number;
  clock: 'sewing' | 'paused' | 'not begun';
  /** Stitches of the needle that is in, and the share of its life. */
  needle: { sewn: number; share: number } | null;
  /** Where the bobbin runs out, if it does. */
  out: (NonNullable<ReturnType<typeof runOut>> & { shown: ShownStep }) | null;
}) {
  return (
    <section aria-label="The step" className="mt-2 border-t-2 border-ink pt-3 max-sm:mt-0 max-sm:pt-1.5">
      <div className="flex flex-wrap items-start gap-x-8 gap-y-3">
        <div className="min-w-0 flex-1 max-sm:basis-full">
          <h2 className="text-28 leading-none sm:text-44">
            Pass {step.pass} <span className="text-ink2">·</span> {step.threadName}
          </h2>
          <p className="mt-1 text-20 leading-tight sm:mt-2 sm:text-28">
            <i
              aria-hidden
              className="mr-2 inline-block size-7 align-[-4px] border"
              style={{ background: step.hex ?? 'transparent' }}
            />
            {step.stabilise ? 'stabilise ' : ''}
            {step.zones.length === 1 ? 'zone' : 'zones'} {step.letters.join(', ')}: {step.zones.join(', ')}
          </p>
          <p className="mt-1 text-20 text-ink2 max-sm:hidden">{step.work}</p>
        </div>
        <div className="text-right max-sm:flex max-sm:basis-full max-sm:items-baseline max-sm:justify-between">
          <p
            className={`text-44 leading-none font-bold tabular-nums sm:text-72 ${clock === 'sewing' ? '' : 'text-ink2'}`}
            aria-live="off"
          >
            {clockWords(sewnMs)}
          </p>
          <p className="mt-1 text-20 text-ink2">
            {clock} · about {Math.max(1, Math.round(step.minutes))} min
          </p>
        </div>
      </div>
      <dl className="mt-2 grid grid-cols-3 items-end gap-x-4 gap-y-2 border-t pt-2 sm:mt-4 sm:gap-x-6 sm:pt-3 lg:grid-cols-[1.5fr_1fr_1fr_1.1fr_1.2fr_1.2fr]">
        <Fact
          large
          label="Hands, in/s"
          big={step.handInPerS.toFixed(1)}
          beside={`needle to ${step.maxInPerS.toFixed(1)}`}
        />
        <Fact label="To the inch" big={String(Number(step.spi.toFixed(1)))} beside={step.mode} />
        <Fact
          label="Top, gf"
          big={step.topGf}
          beside={step.topPlace ?? (step.proven ? 'proven' : 'not tested')}
        />
        <Fact label="Bobbin, gf" big={step.bobbinGf} beside={step.bobbinName} />
        <Fact
          label="Needle"
          big={step.needle.split(' / ')[0]!.replace('Nm ', '')}
          beside={
            needle
              ? `${Math.round(needle.sewn / 1000)} thousand sewn, ${Math.round(needle.share * 100)} % of its life`
              : step.needle
          }
        />
        <Fact label="Foot" big={step.foot} beside={step.idling ? 'idles: hands off the foot' : ''} words />
      </dl>
      <p className="mt-2 text-16 sm:mt-3 sm:text-20">
        {next ? (
          <>
            <b>After this:</b> {nextWords(step, next)}
          </>
        ) : (
          <b>This is the last step.</b>
        )}
      </p>
      <p className="text-16 sm:text-20">
        <b>Bobbin:</b>{' '}
        {out
          ? stepId(out.step) === stepId(step)
            ? `runs out ${partWords(out.share)} this step${out.early < 0.95 && out.late >= 1 ? ', or just lasts' : ''}.`
            : `lasts this step; runs out ${partWords(out.share)} pass ${out.step.pass} with ${out.shown.threadName}.`
          : 'lasts as long as its thread is sewn.'}
      </p>
    </section>
  );
}

function Fact({
  label,
  big,
  beside,
  words = false,
  large = false,
}: {
  label: string;
  big: string;
  beside: string;
  words?: boolean;
  large?: boolean;
}) {
  const size = words
    ? 'text-20 sm:text-28'
    : large
      ? 'text-44 sm:text-[110px] sm:leading-[0.85]'
      : 'text-28 sm:text-44';
  return (
    <div className="min-w-0">
      <dt className="text-16 text-ink2">{label}</dt>
      <dd className={`${size} leading-none font-bold`}>{big}</dd>
      <dd className="mt-1 text-16 leading-tight text-ink2 max-sm:hidden">{beside}</dd>
    </div>
  );
}
