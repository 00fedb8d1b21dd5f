import { format, parseISO } from 'date-fns';
import type { ReactNode } from 'react';
import type { QuiltView } from '@/actions/quilt-view';
import { ask } from '@/actions/queries';
import { shareSewn } from '@/actions/plan';
import { quiltWork } from '@/actions/quilt-work';
import { spoolBands } from '@/core/rack/bands';
import { isSewn, passesDone } from '@/core/plan/begun';
import type { PlannedStep } from '@/core/plan/steps';
import type { Density } from '@/core/density/density';
import type { Machine } from '@/data/types';
import type { Step } from '@/core/fields/lists';
import { TakeInAgain } from '@/ui/take-in/WithdrawDialog';
import { SourceKey } from '@/ui/kit/Sourced';
import { QuiltMap } from '@/ui/quilt-map/QuiltMap';
import { ThreadingPath } from '@/ui/threading-path/ThreadingPath';
import { QuiltKeys } from './QuiltKeys';
import { quiltSteps } from './steps';
import { ZoneLetters, ZoneList } from './ZoneList';

/** What every step of a quilt shares: the threading path above, the quilt map and its zones at the left. */
export async function QuiltFrame({
  view,
  machine,
  step,
  zoneId,
  page,
  passBands,
  density,
  plannedSteps: given,
  children,
}: {
  view: QuiltView;
  machine: Machine;
  step: Step;
  zoneId?: string;
  /** The page a zone leads to. */
  page: string;
  /** Passes as they are planned now, in place of those fixed. */
  passBands?: { depthsIn: number[]; turned: boolean } | null;
  density?: Density;
  /** The steps as they are planned, where the page has them already. */
  plannedSteps?: readonly PlannedStep[];
  children: ReactNode;
}) {
  const { quilt, zones, shelf, setups, faults } = view;
  const cones = new Map(shelf.map((c) => [c.id, c]));
  const bands = spoolBands(quiltWork(quilt, zones, setups, cones, machine).topM, cones, zones);
  const plannedSteps = given ?? (await ask.readSteps(quilt.id));
  const steps = quiltSteps(view, plannedSteps, zoneId);
  return (
    <>
      <ThreadingPath
        name={quilt.name}
        about={`${quilt.client} · ${quilt.widthIn} × ${quilt.lengthIn} in`}
        steps={steps}
        current={step}
        colour={bands[0]?.hex ?? '#6b4a34'}
        bands={bands}
        fill={shareSewn(quilt, plannedSteps)}
      />
      {quilt.withdrawnOn && (
        <div className="flex flex-wrap items-center gap-4 border-y-2 border-weld bg-weld-tint px-5 py-2">
          <p className="min-w-0 flex-1 font-medium">
            Withdrawn on {format(parseISO(quilt.withdrawnOn), 'd MMM yyyy')}
            {quilt.withdrawnWhy && `: ${quilt.withdrawnWhy}`}. It is kept for the record and waits for
            nothing.
          </p>
          <TakeInAgain quilt={{ id: quilt.id, name: quilt.name, version: quilt.version }} />
        </div>
      )}
      {zoneId && <ZoneLetters view={view} zoneId={zoneId} page={page} />}
      <div className="grid min-h-[calc(100dvh-148px)] max-sm:grid-cols-1 sm:grid-cols-[236px_minmax(0,1fr)] xl:grid-cols-[300px_minmax(0,1fr)]">
        <div className="pt-3 pb-20 pl-4 max-sm:hidden">
          {/* Drawn once: on a narrow screen smaller, on a wide one larger. */}
          <div className="[zoom:0.875] xl:[zoom:1.125]">
            <QuiltMap
              {...mapProps(view, zoneId, page, passBands, density, plannedSteps)}
              idPrefix="map"
              width={240}
              maxHeight={260}
            />
          </div>
          <ZoneList view={view} zoneId={zoneId} page={page} />
          <SourceKey className="mt-3 mr-3 mb-3 flex-col" />
        </div>
        <div className="min-w-0 border-l bg-cloth px-5 pt-2.5 pb-6 max-sm:border-l-0 max-sm:px-3 max-sm:pb-20">
          {children}
        </div>
      </div>
      <QuiltKeys
        quilt={{
          id: quilt.id,
          name: quilt.name,
          widthIn: quilt.widthIn,
          lengthIn: quilt.lengthIn,
          passes: quilt.passes,
          depthsIn: quilt.depthsIn,
          turned: quilt.turned,
        }}
        zones={zones}
        zoneId={zoneId}
        page={page}
        stepHrefs={steps.map((s) => s.href)}
        faults={faults}
      />
    </>
  );
}

/** Every gap that is too wide, and the widest of all where none is. */
function gapsToShow({ zones }: Density) {
  const wide = zones.filter((z) => !z.ok);
  const widest = [...zones].sort((a, b) => b.gapIn - a.gapIn).slice(0, 1);
  return (wide.length > 0 ? wide : widest).map((z) => ({ letter: z.id, gapIn: z.gapIn, ok: z.ok }));
}

const mapProps = (
  { quilt, zones, faults, conditions }: QuiltView,
  zoneId: string | undefined,
  page: string,
  passBands: { depthsIn: number[]; turned: boolean } | null | undefined,
  density: Density | undefined,
  steps: readonly PlannedStep[],
) => ({
  bands: passBands ?? (quilt.depthsIn && { depthsIn: quilt.depthsIn, turned: quilt.turned }),
  wideZones: density && gapsToShow(density),
  widthIn: quilt.widthIn,
  lengthIn: quilt.lengthIn,
  zones,
  chosenId: zoneId,
  passes: quilt.passes,
  passesSewn: passesDone(steps, quilt.sewn),
  sewn: steps
    .filter((s) => isSewn(s, quilt.sewn))
    .flatMap((s) => s.zones.map((z) => ({ zoneId: z.id, pass: s.pass }))),
  pins: faults.filter((f) => f.status === 'open'),
  conditions: conditions.filter((c) => c.state !== 'done'),
  stripChosen: page === 'test',
  hrefOf: (id: string) => `/quilts/${quilt.id}/${page}?zone=${id}`,
});
