import type { XY } from '@/core/geometry/polygon';
import { stepId } from '@/core/plan/step-key';
import { partWords, type RunsOut } from '@/core/stand/state';
import { PassPicture } from './PassPicture';
import { type Fact, sameFor } from './setting';
import type { PassDrawing, ShownStep, ShownThread, ShownZone } from './stand-facts';
import { clockWords } from './words';

/** What is sewn now, zone by zone: its setting, the picture of the pass, what to change next, and when its bobbin ends. */
export function StepCard({
  step,
  zone,
  facts,
  top,
  bobbin,
  sewnMs,
  clock,
  drawing,
  pins,
  needle,
  path,
  watch,
  after,
  out,
  safety,
  onPlace,
}: {
  step: ShownStep;
  zone: ShownZone;
  /** What stands for each zone of the step. */
  facts: ReadonlyMap<string, readonly Fact[]>;
  top: ShownThread | undefined;
  bobbin: ShownThread | undefined;
  sewnMs: number;
  clock: 'sewing' | 'paused' | 'not begun';
  drawing: PassDrawing;
  pins: readonly { xIn: number; yIn: number }[];
  needle: XY | null;
  path: readonly XY[];
  /** Sentences that must be known here. */
  watch: readonly string[];
  /** What comes next: a zone of this step, or the next step, and what to change first. */
  after: { what: string; changes: readonly string[] } | null;
  out: RunsOut | null;
  /** What always holds while the needle may move. */
  safety: string;
  onPlace: (zoneId: string | null, at: XY) => void;
}) {
  const at = step.zones.findIndex((z) => z.id === zone.id);
  return (
    <section aria-label="The step" className="mt-1 border-t-2 border-ink pt-2">
      <div className="flex flex-wrap items-start gap-x-6 gap-y-1">
        <div className="min-w-0 flex-1 max-sm:basis-full">
          <h2 className="text-24 leading-tight sm:text-32">
            {drawing.passes.length > 1 && (
              <>
                Pass {step.pass} <span className="text-ink2">·</span>{' '}
              </>
            )}
            <i
              aria-hidden
              className="mr-1 inline-block size-6 border align-[-2px]"
              style={{ background: top?.hex ?? 'transparent' }}
            />
            {top?.name ?? 'a thread put away'}
          </h2>
          <p className="text-20 leading-snug sm:text-24">
            {step.zones.length > 1 && (
              <span className="text-ink2">
                zone {at + 1} of {step.zones.length}:{' '}
              </span>
            )}
            <b>
              {zone.letter} {zone.name}
            </b>
            <span className="text-ink2 max-sm:hidden">, {zone.work}</span>
            {step.stabilise && <span className="text-ink2">, holds the layers</span>}
          </p>
        </div>
        <p className="text-right max-sm:flex max-sm:basis-full max-sm:items-baseline max-sm:justify-between">
          <span
            className={`block text-44 leading-none font-bold tabular-nums sm:text-[56px] ${clock === 'sewing' ? '' : 'text-ink2'}`}
          >
            {clockWords(sewnMs)}
          </span>
          <span className="text-16 text-ink2 sm:text-20">
            {clock} · about {Math.max(1, Math.round(step.minutes))} min
          </span>
        </p>
      </div>
      <dl className="mt-2 grid grid-cols-3 items-start gap-x-4 gap-y-1.5 border-t pt-2 lg:grid-cols-[1.1fr_1.2fr_1.1fr_1.1fr_1.2fr_1.1fr]">
        {facts.get(zone.id)!.map((f) => (
          <FactOf key={f.id} fact={f} same={sameFor(step, facts, zone.id, f.id)} bobbin={bobbin} />
        ))}
      </dl>
      <div className="mt-2 grid gap-x-6 gap-y-1 lg:grid-cols-[3fr_2fr]">
        <div>
          <PassPicture
            drawing={drawing}
            pass={step.pass}
            inStep={step.zones.map((z) => z.id)}
            inHand={zone.id}
            pins={pins}
            needle={needle}
            path={path}
            route={zone.route}
            onPlace={onPlace}
          />
          <p className="mt-1 text-16 leading-snug font-medium">{zone.ends}</p>
          <p className="mt-1 text-16 leading-snug text-ink2 max-sm:hidden">{safety}</p>
        </div>
        <div className="text-16 leading-snug sm:text-20">
          {watch.map((w) => (
            <p key={w} className="font-semibold text-weld-text">
              <span aria-hidden>▲ </span>
              {w}
            </p>
          ))}
          <p>
            {after ? (
              <>
                <b>{after.what}:</b>{' '}
                {after.changes.length > 0 ? `${after.changes.join('; ')}.` : 'nothing to change.'}
              </>
            ) : (
              <b>This is the last step.</b>
            )}
          </p>
          <p>
            <b>Bobbin:</b> {bobbinWords(step, bobbin, out)}
          </p>
          {zone.marking && <p className="max-sm:hidden">{zone.marking}</p>}
        </div>
      </div>
    </section>
  );
}

function bobbinWords(step: ShownStep, bobbin: ShownThread | undefined, out: RunsOut | null): string {
  const tray = bobbin
    ? bobbin.wound > 0
      ? ` ${bobbin.wound} wound on the tray.`
      : ' None wound on the tray.'
    : '';
  if (!out) return `lasts as long as its thread is sewn.${tray}`;
  if (stepId(out.step) === stepId(step))
    return `runs out ${partWords(out.share)} this step${out.early < 0.95 && out.late >= 1 ? ', or just lasts' : ''}.${tray}`;
  return `lasts this step; runs out ${partWords(out.share)} pass ${out.step.pass}.${tray}`;
}

function FactOf({
  fact: f,
  same,
  bobbin,
}: {
  fact: Fact;
  /** Letters of the step’s zones in which it is the same. */
  same: readonly string[];
  bobbin: ShownThread | undefined;
}) {
  const words = f.id === 'foot';
  const size =
    f.id === 'hand'
      ? 'text-44 sm:text-[84px] sm:leading-[0.9]'
      : words
        ? 'text-20 sm:text-28'
        : f.id === 'needle'
          ? 'text-24 sm:text-32'
          : 'text-28 sm:text-44';
  const beside = f.id === 'bobbin' && bobbin ? [bobbin.name, f.beside].filter(Boolean).join(', ') : f.beside;
  return (
    <div className="min-w-0">
      <dt className="text-16 leading-tight text-ink2">{f.label}</dt>
      <dd className={`${size} leading-none font-bold`}>{f.big}</dd>
      {f.card !== null && (
        <dd className="text-16 leading-tight font-semibold text-weld-text">the card says {f.card}</dd>
      )}
      {beside && <dd className="mt-0.5 text-16 leading-tight text-ink2 max-sm:hidden">{beside}</dd>}
      {same.length > 1 && (
        <dd className="text-16 leading-tight text-ink2 max-sm:hidden">same for {same.join(', ')}</dd>
      )}
    </div>
  );
}
