import { ThreadSwatch } from '@/ui/kit/Swatch';

export interface ThreadName {
  name: string;
  hex: string | null;
}

/** A step as the order of work lists it. */
export interface OrderStep {
  pass: number;
  thread: string;
  stabilise: boolean;
  zones: readonly { id: string; letter: string; name: string; foot: string }[];
  /** Minutes of everything but what the order brings, as the studio’s log has them. */
  ownMin: number;
}

/** One step in the order of work, as it is listed. */
export interface OrderRow {
  id: string;
  n: number;
  step: OrderStep;
  thread: ThreadName | undefined;
  minutes: number;
  change: boolean;
  sewn: boolean;
}

/** What a step in the list says: pass, thread, its zones in their order, and what it takes. */
export function StepWords({ row: r }: { row: OrderRow }) {
  const { zones, stabilise } = r.step;
  const feet = zones.filter((z, i) => i === 0 || zones[i - 1]!.foot !== z.foot).map((z) => z.foot);
  return (
    <>
      <span className="w-8 text-ink2 tabular-nums">{r.n}</span>
      <span className="w-16 font-semibold">pass {r.step.pass}</span>
      <ThreadSwatch hex={r.thread?.hex ?? null} width={22} height={22} />
      <span className="min-w-0 flex-1 py-1 leading-snug">
        {r.thread?.name}
        <span className="text-ink2">
          , {zones.length === 1 ? 'zone' : 'zones'} {zones.map((z) => z.letter).join(', ')}
          {stabilise && ', holds the layers'}
          {r.change && ', change thread'}
        </span>
        {feet.length > 1 && (
          <span className="block text-13 text-weld-text">two feet: {feet.join(', then ')}</span>
        )}
      </span>
      <span className="pr-2 text-right text-ink2">
        {r.sewn ? 'sewn' : `${Math.max(1, Math.round(r.minutes))} min`}
      </span>
    </>
  );
}
