import { coneName } from '@/actions/zone-brief';
import { quiltWork, sewnShare } from '@/actions/quilt-work';
import { FaultTable } from '@/ui/faults/FaultTable';
import { Shown } from '@/ui/kit/Shown';
import { ThreadSwatch } from '@/ui/kit/Swatch';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';

export const metadata = { title: 'Quilt' };

export default async function QuiltingPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const { quilt, zones, setups, shelf, faults } = view;
  const cones = new Map(shelf.map((c) => [c.id, c]));
  const work = quiltWork(quilt, zones, setups, cones, machine);
  const left = 1 - sewnShare(quilt);
  const metres = [...work.totalM].sort((a, b) => b[1] - a[1]);
  const open = faults.filter((f) => f.status === 'open').length;
  return (
    <QuiltFrame view={view} machine={machine} step="quilt" zoneId={zone?.id} page="quilt">
      <h2 className="text-24">{quilt.name} on the frame</h2>
      <dl className="mt-2 grid grid-cols-3 divide-x border-t-2 border-b border-t-ink">
        <Fact label="Passes sewn" value={`${quilt.passesSewn} of ${quilt.passes ?? '?'}`} />
        <Fact
          label="Left to sew"
          value={<Shown kind="predicted">{((work.minutes * left) / 60).toFixed(1)} h</Shown>}
        />
        <Fact label="Open faults" value={open} />
      </dl>
      <h3 className="mt-5 mb-1 text-20">Thread for this quilt</h3>
      {metres.length === 0 ? (
        <p className="text-ink2">Match its zones, and what they take of each cone stands here.</p>
      ) : (
        <table className="w-full max-w-[640px]">
          <thead>
            <tr className="text-left text-13 text-ink2">
              <th className="py-1.5 font-medium">Cone</th>
              <th className="py-1.5 text-right font-medium">Wanted</th>
              <th className="py-1.5 text-right font-medium">On the cone</th>
            </tr>
          </thead>
          <tbody>
            {metres.map(([id, m]) => {
              const cone = cones.get(id)!;
              const short = cone.remainingM !== null && cone.remainingM < m * left;
              return (
                <tr key={id} className="border-t">
                  <td className="flex items-center gap-2.5 py-1.5">
                    <ThreadSwatch hex={cone.hex} /> {coneName(cone)}
                  </td>
                  <td className="py-1.5 text-right">
                    <Shown kind="predicted">{Math.round(m)} m</Shown>
                  </td>
                  <td className={`py-1.5 text-right ${short ? 'font-semibold text-madder' : ''}`}>
                    {cone.remainingM === null ? 'not known' : `${Math.round(cone.remainingM)} m`}
                    {short && ', short'}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      <h3 className="mt-6 mb-2 text-20">Faults noted</h3>
      <FaultTable faults={faults} />
    </QuiltFrame>
  );
}

function Fact({ label, value }: { label: string; value: React.ReactNode }) {
  return (
    <div className="px-4 py-2 first:pl-0">
      <dt className="text-13 text-ink2">{label}</dt>
      <dd className="mt-1 text-28 leading-none font-bold">{value}</dd>
    </div>
  );
}
