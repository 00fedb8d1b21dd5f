import type { DenseZone } from './DensityMap';

const ratio = (r: number) =>
  r >= 1 ? `${r.toFixed(1)} times as dense` : `${(1 / r).toFixed(1)} times as open`;

/** A zone against each of those it shares a seam with. */
export function NeighbourTable({ zone, zones }: { zone: DenseZone; zones: readonly DenseZone[] }) {
  const byId = new Map(zones.map((z) => [z.id, z]));
  if (zone.neighbours.length === 0)
    return <p className="mt-1 text-ink2">{zone.name} shares no seam with another zone.</p>;
  return (
    <table className="mt-1 w-full border-t-2 border-ink">
      <thead className="sr-only">
        <tr>
          <th>Neighbour</th>
          <th>Against it</th>
          <th>Seam</th>
        </tr>
      </thead>
      <tbody>
        {zone.neighbours.map((n) => {
          const other = byId.get(n.id)!;
          return (
            <tr key={n.id} className="border-b">
              <th scope="row" className="py-1.5 pr-3 text-left font-normal">
                <b className="mr-1.5">{other.letter}</b>
                {other.name}
              </th>
              <td className={`py-1.5 pr-3 ${n.even ? '' : 'font-semibold text-madder'}`}>
                {Math.abs(Math.log(n.ratio)) < 0.05 ? 'the same density' : ratio(n.ratio)}
                {!n.even && ': too uneven'}
              </td>
              <td className="py-1.5 text-right whitespace-nowrap text-ink2">
                {Math.round(n.seamIn)} in of seam
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
