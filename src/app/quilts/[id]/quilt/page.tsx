import { ask } from '@/actions/queries';
import { minutesKnown, midHours } from '@/core/hours/known';
import { throatFit } from '@/core/machine/table';
import { isSewn, passesDone } from '@/core/plan/begun';
import { predicted, proven } from '@/core/source/known';
import { ButtonLink } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Parts } from '@/ui/kit/Parts';
import { Sourced } from '@/ui/kit/Sourced';
import type { QuiltView } from '@/actions/quilt-view';
import { StepForm } from '@/ui/plan/StepForm';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';
import { PARTS, partsFor, threadsOf } from './parts';

export const metadata = { title: 'Quilt' };

export default async function QuiltingPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const { part: asked } = await props.searchParams;
  const part = PARTS.find((p) => p.id === asked) ?? PARTS[0]!;
  const { quilt, zones } = view;
  const [read, framed] = await Promise.all([ask.readPlan(view), ask.readFramed(quilt.id)]);
  const { plan, steps } = read;
  const unmatched = zones.filter((z) => view.states.get(z.id) === 'to match').length;
  const { passes } = plan;
  const hrefOf = (id: string) => `/quilts/${quilt.id}/quilt?${zone ? `zone=${zone.id}&` : ''}part=${id}`;
  return (
    <QuiltFrame
      view={view}
      machine={machine}
      step="quilt"
      zoneId={zone?.id}
      page="quilt"
      passBands={passes && { depthsIn: passes.depthsIn, turned: passes.turned }}
      density={plan.density}
      plannedSteps={steps}
    >
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="flex-1 text-24">Plan of {quilt.name}</h2>
        <ButtonLink look="quiet" href={`/quilts/${quilt.id}/map`}>
          Draw the map
        </ButtonLink>
        <ButtonLink look="quiet" href={`/quilts/${quilt.id}/prepare`}>
          Backing and binding
        </ButtonLink>
        <ButtonLink look="quiet" href={`/quilts/${quilt.id}/sheets`}>
          Sheets
        </ButtonLink>
        {quilt.passes !== null && quilt.step !== 'hand-back' && (
          <ButtonLink look="act" href={`/quilts/${quilt.id}/stand`}>
            To the Stand
          </ButtonLink>
        )}
      </div>
      <Facts view={view} read={read} />
      {plan.cautions.map((c) => (
        <p key={c.code} className="mt-2">
          <CautionLine caution={c} />
        </p>
      ))}
      {unmatched > 0 && (
        <p className="mt-2 text-weld-text">
          {unmatched} {unmatched === 1 ? 'zone has' : 'zones have'} no set-up yet:{' '}
          {unmatched === 1 ? 'it has' : 'they have'} no steps and no thread in these sums.
        </p>
      )}
      <div className="mt-3">
        <NextStep view={view} read={read} framed={framed} />
      </div>
      <Parts
        label="Parts of the plan"
        parts={partsFor(read.request.table !== undefined)}
        now={part.id}
        hrefOf={hrefOf}
      />
      <part.Body view={view} machine={machine} read={read} />
    </QuiltFrame>
  );
}

type Read = Awaited<ReturnType<typeof ask.readPlan>>;

/** What the plan comes to: passes, steps sewn, hours left, faults. */
function Facts({ view: { quilt, faults }, read }: { view: QuiltView; read: Read }) {
  const {
    plan: { passes },
    steps,
    left,
    belief,
  } = read;
  const minutes = minutesKnown(left, belief);
  const inHours = (n: number) => (n / 60).toFixed(1);
  const done = passesDone(steps, quilt.sewn);
  const sewn = steps.filter((s) => isSewn(s, quilt.sewn));
  const open = faults.filter((f) => f.status === 'open').length;
  return (
    <dl className="mt-2 grid grid-cols-2 divide-x border-t-2 border-b border-t-ink md:grid-cols-4">
      {read.request.table ? (
        <Fact
          label="On a table"
          value={FIT_WORD[throatOf(read).word]}
          beside={`${Math.max(0, throatOf(read).clearIn).toFixed(1)} in clear in the throat`}
        />
      ) : (
        <Fact
          label="Passes"
          value={
            passes ? (
              <Sourced of={quilt.passes ? proven(quilt.passes, 'locked in') : predicted(passes.passes)}>
                {passes.passes}
              </Sourced>
            ) : (
              'none'
            )
          }
          beside={
            passes
              ? `loaded ${passes.turned ? 'sideways' : 'upright'}${passes.alternative ? `, ${passes.turned ? 'upright' : 'sideways'} ${passes.alternative.passes}` : ''}`
              : ''
          }
        />
      )}
      <Fact
        label="Steps sewn"
        value={`${sewn.length}`}
        beside={
          read.request.table
            ? `of ${steps.length}`
            : `of ${steps.length}, ${done.length} finished ${done.length === 1 ? 'pass' : 'passes'}`
        }
      />
      <Fact
        label="Hours left"
        value={<Sourced of={minutes}>{midHours(minutes).value.toFixed(1)}</Sourced>}
        beside={`80 % range: ${inHours(minutes.value.low)} to ${inHours(minutes.value.high)} h`}
      />
      <Fact label="Open faults" value={open} beside="" />
    </dl>
  );
}

const FIT_WORD = { good: 'fits', tight: 'tight', 'too-much': 'too large' } as const;
const throatOf = ({ request }: Read) =>
  throatFit(request.table!, { ...request.quilt, battingId: request.battingId, backing: request.backing });

/** The step that is next, on the frame or before it. */
function NextStep({
  view,
  read,
  framed,
}: {
  view: QuiltView;
  read: Read;
  framed: Awaited<ReturnType<typeof ask.readFramed>>;
}) {
  const { quilt } = view;
  const {
    plan: { passes },
    steps,
    moved,
  } = read;
  const next = steps.find((s) => !isSewn(s, quilt.sewn));
  const threads = threadsOf(view, read);
  return (
    <StepForm
      quiltId={quilt.id}
      version={quilt.version}
      turnRule={quilt.turnRule}
      onTable={read.request.table !== undefined}
      planned={passes?.passes ?? null}
      fixed={quilt.passes}
      begun={quilt.sewn.length > 0}
      moved={moved}
      next={
        next
          ? {
              pass: next.pass,
              thread: next.thread,
              stabilise: next.stabilise,
              words: `${read.request.table ? '' : `pass ${next.pass}, `}${threads[next.thread]?.name ?? ''}, ${next.zones.length === 1 ? 'zone' : 'zones'} ${next.zones.map((z) => z.letter).join(', ')}`,
              minutes: next.minutes,
            }
          : null
      }
      onFrame={quilt.onFrameSince !== null}
      framed={framed}
      quilted={quilt.step === 'hand-back'}
      home={quilt.handedBackOn !== null}
    />
  );
}

function Fact({ label, value, beside }: { label: string; value: React.ReactNode; beside: string }) {
  return (
    <div className="px-4 py-2 first:pl-0">
      <dt className="text-13 text-ink2">{label}</dt>
      <dd className="mt-1 text-28 leading-none font-bold">{value}</dd>
      <dd className="mt-1 text-13 text-ink2">{beside}</dd>
    </div>
  );
}
