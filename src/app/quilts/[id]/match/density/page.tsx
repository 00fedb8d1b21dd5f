import { ask } from '@/actions/queries';
import { seamsOfMap } from '@/actions/map-seams';
import { predicted } from '@/core/source/known';
import { density, softnessOf } from '@/core/density/density';
import { motifsLeft, motifWords } from '@/core/density/motifs';
import { bubbles } from '@/core/density/bubbles';
import { neighbourDensities } from '@/core/density/neighbours';
import { areaOf } from '@/core/geometry/polygon';
import { battings } from '@/core/tables/battings';
import { DensityLegend, type DenseZone, DensityMap } from '@/ui/density/DensityMap';
import { NeighbourTable } from '@/ui/density/NeighbourTable';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Empty } from '@/ui/kit/Empty';
import { Sourced } from '@/ui/kit/Sourced';
import { MatchNav } from '@/ui/match/MatchNav';
import { SaveSvg } from '@/ui/match/SaveSvg';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../../quilt-page';

export const metadata = { title: 'Density' };

export default async function DensityPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props, 'its cards');
  const { quilt, zones } = view;
  const preferences = (await ask.readPreferences())!;
  const seams = seamsOfMap(zones);
  const letters = new Map(zones.map((z) => [z.id, z.letter]));
  const cones = new Map(view.shelf.map((c) => [c.id, c]));
  const threadOf = (id: string) => {
    const cone = cones.get(view.setups.get(id)?.topId ?? '');
    return cone ? { topTex: cone.tex, fibre: cone.fibre } : {};
  };
  const told = density({
    battingId: quilt.battingKind,
    battingMaxGapIn: quilt.battingMaxGapIn ?? undefined,
    evenness: preferences.evenness,
    gapShare: preferences.gapShare,
    neighbours: seams.map(({ a, b, lengthIn }) => ({
      a: letters.get(a)!,
      b: letters.get(b)!,
      seamIn: lengthIn,
    })),
    zones: zones.map((z) => ({
      id: z.letter,
      technique: z.technique,
      spacingIn: z.spacingIn,
      areaIn2: Math.max(1e-6, areaOf(z.geometry)),
      lengthIn: z.lengthIn ?? undefined,
      softness: z.softness ?? undefined,
      ...threadOf(z.id),
    })),
  });
  const near = neighbourDensities(
    zones.map((z, i) => ({ id: z.id, geometry: z.geometry, lineDensity: told.zones[i]!.lineDensity })),
    preferences.evenness,
    seams,
  );
  const dense: DenseZone[] = zones.map((z, i) => ({
    ...z,
    lineDensity: told.zones[i]!.lineDensity,
    tooWide: !told.zones[i]!.ok,
    neighbours: near.get(z.id)!,
  }));
  const left = motifsLeft(
    zones.map((z) => ({
      id: z.letter,
      technique: z.technique,
      geometry: z.geometry,
      leftAlone: z.fabrics.some((f) => !f.sewnOver),
    })),
    told.zones[0]?.gapLimitIn ?? 0,
    preferences.motifSchool,
  );
  const raised = bubbles(dense);
  const here = dense.find((z) => z.id === zone?.id);
  const widest = [...told.zones].sort((a, b) => b.gapIn - a.gapIn)[0];
  const allowed = told.zones[0]?.gapLimitIn;
  return (
    <QuiltFrame view={view} machine={machine} step="match" zoneId={zone?.id} page="match/density">
      <MatchNav quiltId={quilt.id} zoneId={zone?.id} here="/density" />
      {!here || !widest || allowed === undefined ? (
        <Empty title="No zones yet">
          Draw the zones of this quilt on its map first; then their densities are weighed against each other
          and the batting.
        </Empty>
      ) : (
        <>
          <div className="mt-2.5 flex flex-wrap items-center gap-x-3.5">
            <h2 className="text-24">{here.name}</h2>
            <p className="text-ink2">
              zone {here.letter} · its density against its neighbours and {quilt.batting}
            </p>
          </div>
          <div className="mt-2 grid gap-x-6 gap-y-4 border-t-2 border-ink pt-3 lg:grid-cols-[auto_minmax(0,1fr)]">
            <div>
              <DensityMap
                widthIn={quilt.widthIn}
                lengthIn={quilt.lengthIn}
                zones={dense}
                open={left.parts}
                bubbles={raised}
                limitIn={allowed}
                chosenId={here.id}
                width={430}
                height={440}
              />
              <div className="mt-1 flex max-w-[430px] items-start">
                <div className="flex-1">
                  <DensityLegend
                    bubbles={raised.length > 0}
                    uneven={dense.some((z) => z.neighbours.some((n) => !n.even))}
                    wide={dense.some((z) => z.tooWide)}
                    open={left.parts.length > 0}
                  />
                </div>
                <SaveSvg of="density" name={`density of ${quilt.name}`} />
              </div>
            </div>
            <div>
              <dl className="grid grid-cols-3 divide-x border-b pb-2">
                <Figure
                  label={`This zone, ${softnessOf(here.lineDensity)}`}
                  value={here.lineDensity.toFixed(1)}
                  unit="in / in²"
                  first
                />
                <Figure
                  label={`Widest gap, zone ${widest.id}`}
                  value={String(widest.gapIn)}
                  unit={`of ${Number(allowed.toFixed(1))} in`}
                  bad={widest.gapIn > allowed}
                />
                <Figure
                  label="Densest to most open"
                  value={told.evenness.toFixed(1)}
                  unit={`of ${told.limit}`}
                  bad={told.evenness > told.limit}
                />
              </dl>
              {left.parts.length > 0 && (
                <>
                  <h3 className="mt-3 text-[17px]">Left open over motifs</h3>
                  {motifWords(left, allowed).map((words) => (
                    <p key={words} className="mt-0.5">
                      {words}
                    </p>
                  ))}
                </>
              )}
              <h3 className="mt-3 text-[17px]">Against its neighbours</h3>
              <NeighbourTable zone={here} zones={dense} />
              {told.cautions.length > 0 && (
                <ul className="mt-3 space-y-1.5">
                  {told.cautions.map((c) => (
                    <li key={c.code + c.text}>
                      <CautionLine caution={c} />
                    </li>
                  ))}
                </ul>
              )}
              <p className="mt-3 text-ink2">
                {battings.get(quilt.battingKind).note} A denser zone draws in and lets the open one beside it
                bubble, above all after washing; within 1 : {preferences.evenness} it stays flat.
              </p>
            </div>
          </div>
        </>
      )}
    </QuiltFrame>
  );
}

function Figure({
  label,
  value,
  unit,
  bad = false,
  first = false,
}: {
  label: string;
  value: string;
  unit: string;
  bad?: boolean;
  first?: boolean;
}) {
  return (
    <div className={first ? 'pr-4' : 'px-4'}>
      <dt className="text-13 text-ink2">{label}</dt>
      <dd className={bad ? 'text-madder' : ''}>
        <Sourced of={predicted(null)}>
          <b className="text-32 leading-none">{value}</b>
        </Sourced>{' '}
        <span className="whitespace-nowrap">
          {unit}
          {bad && ', too much'}
        </span>
      </dd>
    </div>
  );
}
