'use client';
import { useRouter } from 'next/navigation';
import { NEEDLE_SIZES } from '@/core/tables/needles';
import type { Listed } from '@/ui/kit/use-rest';
import { ThreadOptions } from './ThreadOptions';

export interface Held {
  topId?: string;
  bobbinId?: string;
  nm?: number;
  spi?: number;
}

const control = 'min-h-11 max-w-[168px] xl:max-w-[220px] rounded border border-rule bg-cloth px-2 text-16';

/** Parts held while the rest adapts: either thread, a needle, a stitch length. */
export function HoldBar({
  path,
  zoneId,
  held,
  threads,
  spi,
}: {
  path: string;
  zoneId: string;
  held: Held;
  /** The shelf's names. */
  threads: Listed;
  spi: readonly [number, number];
}) {
  const router = useRouter();
  const go = (part: Partial<Record<keyof Held, string>>) => {
    const now = { ...held, ...part };
    const query = new URLSearchParams({ zone: zoneId });
    for (const [k, v] of Object.entries(now)) if (v) query.set(k, String(v));
    router.push(`${path}?${query}`, { scroll: false });
  };
  const some = Object.values(held).some((part) => part !== undefined);
  return (
    <div
      role="group"
      aria-label="Hold a part"
      className="mt-2 flex flex-wrap items-center gap-2.5 border-b pb-2"
    >
      <b className="font-semibold">Hold</b>
      {(
        [
          ['topId', 'top thread', 'bobbin'],
          ['bobbinId', 'bobbin thread', 'top'],
        ] as const
      ).map(([part, noun, not]) => (
        <select
          key={part}
          aria-label={`Hold the ${noun}`}
          className={control}
          value={held[part] ?? ''}
          onChange={(e) => go({ [part]: e.target.value })}
        >
          <option value="">any {noun}</option>
          <ThreadOptions list={threads} not={not} chosen={held[part]} />
        </select>
      ))}
      <select
        aria-label="Hold the needle"
        className={control}
        value={held.nm ?? ''}
        onChange={(e) => go({ nm: e.target.value })}
      >
        <option value="">any needle</option>
        {NEEDLE_SIZES.map((s) => (
          <option key={s.nm} value={s.nm}>
            Nm {s.nm} / US {s.us}
          </option>
        ))}
      </select>
      <select
        aria-label="Hold the stitch length"
        className={control}
        value={held.spi ?? ''}
        onChange={(e) => go({ spi: e.target.value })}
      >
        <option value="">any stitch length</option>
        {Array.from(
          { length: Math.floor(spi[1]) - Math.ceil(spi[0]) + 1 },
          (_, i) => Math.ceil(spi[0]) + i,
        ).map((n) => (
          <option key={n} value={n}>
            {n} per inch
          </option>
        ))}
      </select>
      {some && (
        <button
          type="button"
          className="min-h-11 px-2 text-indigo hover:underline"
          onClick={() => go({ topId: '', bobbinId: '', nm: '', spi: '' })}
        >
          Reset
        </button>
      )}
    </div>
  );
}
