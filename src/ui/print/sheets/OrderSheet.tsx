import { coneName } from '@/actions/zone-brief';
import type { SheetFacts } from './sheet-facts';

export function OrderSheet({ view, steps }: SheetFacts) {
  const cones = new Map(view.shelf.map((c) => [c.id, c]));
  return (
    <table className="w-full">
      <thead>
        <tr className="text-left">
          {['', 'Pass', 'Top thread', 'Zones in their order', 'Minutes', 'Done'].map((h) => (
            <th key={h} className="border-b-2 border-[#000] py-1 pr-4">
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {steps.map((s, i) => (
          <tr key={i} className="border-b">
            <td className="py-1.5 pr-4">{i + 1}</td>
            <td className="pr-4 text-20 font-bold">{s.pass}</td>
            <td className="pr-4 font-semibold">
              {cones.has(s.thread) ? coneName(cones.get(s.thread)!) : ''}
              {i > 0 && steps[i - 1]!.thread !== s.thread && ' (change)'}
            </td>
            <td className="pr-4">
              {s.zones
                .map((z) => `${z.letter} ${view.zones.find((x) => x.id === z.id)?.name ?? ''}`)
                .join(', ')}
            </td>
            <td className="pr-4 tabular-nums">{Math.max(1, Math.round(s.minutes))}</td>
            <td className="text-20">☐</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
