import { ThreadSwatch } from '@/ui/kit/Swatch';

export interface ThreadName {
  name: string;
  hex: string | null;
}

/** One step in the order of work, as it is listed. */
export interface OrderRow {
  id: string;
  n: number;
  pass: number;
  thread: ThreadName | undefined;
  first: boolean;
  minutes: number;
  change: boolean;
  sewn: boolean;
}

/** What a step in the list says: pass, thread, and what it takes. */
export function StepWords({ row: r }: { row: OrderRow }) {
  return (
    <>
      <span className="w-16 font-semibold">pass {r.pass}</span>
      <ThreadSwatch hex={r.thread?.hex ?? null} width={22} height={22} />
      <span className="min-w-0 flex-1 truncate">
        {r.thread?.name}
        {r.first && <span className="text-ink2">, to stabilise</span>}
        {r.change && <span className="text-ink2">, change thread</span>}
      </span>
      <span className="pr-2 text-ink2">{r.sewn ? 'sewn' : `${Math.max(1, Math.round(r.minutes))} min`}</span>
    </>
  );
}
