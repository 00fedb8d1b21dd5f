import { predicted } from '@/core/source/known';
import { reachOf, type RollAt } from '@/core/stand/roll';
import { HeadRow } from '@/ui/kit/HeadRow';
import { Sourced } from '@/ui/kit/Sourced';

export interface PassReach {
  pass: number;
  depthIn: number;
  /** Whether anything in it is sewn beside a ruler. */
  besideRuler: boolean;
}

const inches = (n: number) => `${Number(n.toFixed(1))} in`;

/** The roll and the reach, pass by pass: how thick it is, when to raise the rail, what can really be sewn. */
export function PassTable({ passes, rolls }: { passes: readonly PassReach[]; rolls: readonly RollAt[] }) {
  return (
    <>
      <table className="w-full">
        <HeadRow names={['Pass', 'Deep', 'Roll, thick', 'Rail', 'Can be sewn']} />
        <tbody>
          {passes.map((p, i) => {
            const roll = rolls[i];
            const reach = reachOf(p.besideRuler);
            return (
              <tr key={p.pass} className="border-t">
                <td className="py-2 pr-3 font-semibold">{p.pass}</td>
                <td className="pr-3 whitespace-nowrap">{inches(p.depthIn)}</td>
                <td className="pr-3">
                  {roll && <Sourced of={predicted(null)}>{inches(roll.diameterIn)}</Sourced>}
                </td>
                <td className="pr-3">
                  {roll?.raise ? (
                    <b className="text-weld-text">raise it {inches(roll.grownIn)} before this pass</b>
                  ) : (
                    <span className="text-ink2">as it is</span>
                  )}
                </td>
                <td className="pr-3">
                  {inches(Math.max(0, p.depthIn - reach.topIn - reach.bottomIn))} of its depth
                  {p.besideRuler && ', with the ruler’s plate'}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-2 text-13 text-ink2">
        The foot keeps {reachOf(false).topIn} in from a rail, a ruler on its plate {reachOf(true).topIn} in,
        and clamps hold {reachOf(false).sidesIn} in at each side: what lies there is sewn in the pass before
        or after, once it has moved on.
      </p>
    </>
  );
}

/** What of each pass can be sewn, as dashed frames on the map, in its inches. */
export function ReachFrames({
  passes,
  turned,
  widthIn,
  lengthIn,
}: {
  passes: readonly PassReach[];
  turned: boolean;
  widthIn: number;
  lengthIn: number;
}) {
  const across = turned ? lengthIn : widthIn;
  let at = 0;
  return passes.map((p) => {
    const { topIn, bottomIn, sidesIn } = reachOf(p.besideRuler);
    const [from, depth] = [at + topIn, Math.max(0, p.depthIn - topIn - bottomIn)];
    at += p.depthIn;
    const box = turned
      ? { x: from, y: sidesIn, width: depth, height: across - 2 * sidesIn }
      : { x: sidesIn, y: from, width: across - 2 * sidesIn, height: depth };
    return (
      <rect
        key={p.pass}
        {...box}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={0.3}
        strokeDasharray="1.2 0.8"
      />
    );
  });
}
