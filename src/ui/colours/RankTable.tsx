import type { RankedColour } from '@/core/colour/rank';
import { HeadRow } from '@/ui/kit/HeadRow';
import { ThreadSwatch } from '@/ui/kit/Swatch';

export interface ColourCone {
  id: string;
  name: string;
  hex: string;
  mm: number;
}

const WORD = { disappears: 'disappears', texture: 'texture', shows: 'shows' };
/** As many as fit beside the photograph; the shelf has the rest in worse order. */
const SHOWN = 10;
export const MOST_LAID = 4;

/** The shelf in order of how well it sinks into, or shows on, every cloth of the zone; some can be laid across it. */
export function RankTable({
  ranked,
  cones,
  cloths,
  aim,
  laid,
  onLay,
}: {
  ranked: readonly RankedColour[];
  cones: ReadonlyMap<string, ColourCone>;
  cloths: readonly string[];
  aim: 'sink' | 'show';
  laid: readonly string[];
  onLay: (id: string) => void;
}) {
  if (ranked.length === 0)
    return (
      <p className="mt-2 text-ink2">
        No thread on the shelf has a colour yet: give it one on the Thread shelf.
      </p>
    );
  return (
    <table className="mt-1 w-full border-t-2 border-ink text-[14.5px]">
      <HeadRow
        names={['Lay', 'Thread', 'On the fabric', 'ΔE', aim === 'sink' ? 'Worst on' : 'Least on']}
        act={false}
      />
      <tbody>
        {ranked.slice(0, SHOWN).map((r) => {
          const c = cones.get(r.id)!;
          const on = laid.includes(r.id);
          return (
            <tr key={r.id} className="border-t align-middle">
              <td className="pr-2">
                <label className="grid size-11 place-items-center">
                  <input
                    type="checkbox"
                    className="size-5 accent-(--indigo)"
                    checked={on}
                    disabled={!on && laid.length >= MOST_LAID}
                    onChange={() => onLay(r.id)}
                    aria-label={`Lay ${c.name} across the fabric`}
                  />
                </label>
              </td>
              <td className="pr-3">
                <span className="flex items-center gap-2.5">
                  <ThreadSwatch hex={c.hex} width={24} height={24} />
                  <span className="leading-tight">
                    <b className="font-semibold">{c.name}</b>
                    <br />
                    <span className="text-13 text-ink2">{c.mm.toFixed(2)} mm</span>
                  </span>
                </span>
              </td>
              <td className="pr-3">{WORD[r.word]}</td>
              <td className="pr-3 tabular-nums">{r.worstDeltaE.toFixed(1)}</td>
              <td className="text-ink2">{cloths[r.decides]}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
