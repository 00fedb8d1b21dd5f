'use client';
import { safety } from '@/core/cautions/cautions';
import { ButtonLink } from '@/ui/kit/Button';
import { Big } from './Big';
import { Notices } from './Notices';
import { StandHead } from './StandHead';
import { StandKeys } from './StandKeys';
import { StandPanels } from './StandPanels';
import { StepCard } from './StepCard';
import { type Stand, type StandFacts, useStand } from './use-stand';

/** The screen at the machine: the zone in hand, its setting, the clock, and what happens written down with one tap. */
export function StandScreen(facts: StandFacts) {
  const stand = useStand(facts);
  const { quilt, steps, step } = stand;
  if (steps.length === 0 || !quilt.fixed) return <NotYet quilt={quilt} nothing={steps.length === 0} />;
  return (
    <Screen controls={step ? <StandKeys stand={stand} /> : null}>
      <StandHead
        quilt={quilt}
        place={step ? `step ${stand.at + 1} of ${steps.length}` : 'all steps are sewn'}
        done={stand.state.done.size}
        old={stand.old}
        outbox={stand.outbox}
        writing={stand.writing}
        last={stand.newestWords}
      />
      <InHand stand={stand} />
      <Notices
        notices={stand.notices}
        onAnswer={(k, later) => {
          if (k.startsWith('care ')) stand.careAnswered(k.slice(5), later);
          if (k === 'air') stand.airSeen();
          if (k === 'refused') void stand.forget(stand.outbox.refused[0]!.id);
          if (k === 'back') stand.acts.back();
          if (k === 'roll') stand.acts.advance();
          if (k === 'posture') stand.rested();
        }}
      />
      <StandPanels stand={stand} />
    </Screen>
  );
}

function NotYet({ quilt, nothing }: { quilt: { id: string; onTable?: boolean }; nothing: boolean }) {
  return (
    <Screen>
      <p className="text-28">
        {nothing
          ? 'No step can be sewn yet: match its zones first.'
          : `Lock in the ${quilt.onTable ? 'plan' : 'passes'} of this quilt first.`}
      </p>
      <p className="mt-4">
        <ButtonLink look="act" href={`/quilts/${quilt.id}/quilt`}>
          To its plan
        </ButtonLink>
      </p>
    </Screen>
  );
}

/** The step in hand; or, when all are sewn, what is left to do. */
function InHand({ stand }: { stand: Stand }) {
  const { quilt, step, zone, set, key, named, log, state } = stand;
  if (!step || !zone || !set) return <AllSewn stand={stand} />;
  const idling = zone.mode === 'idling' ? safety('hands-near-needle').text : '';
  const asleep = stand.awake ? '' : 'This browser cannot keep the screen awake: set the tablet to stay on.';
  const faults = state.faults.flatMap((f) =>
    f.xIn !== undefined && f.yIn !== undefined ? { xIn: f.xIn, yIn: f.yIn } : [],
  );
  return (
    <StepCard
      step={step}
      zone={zone}
      facts={stand.facts}
      top={named.get(set.topId)}
      bobbin={named.get(set.bobbinId)}
      sewnMs={stand.sewnMs}
      clock={stand.running ? 'sewing' : state.begun ? 'paused' : 'not begun'}
      drawing={stand.drawing}
      pins={[...stand.pins, ...faults]}
      needle={stand.needleAt}
      path={stand.longarm.state.path}
      watch={[...zone.watch.map((w) => w.text), ...(quilt.watch ? [`From intake: ${quilt.watch}`] : [])]}
      after={stand.after}
      out={stand.out}
      safety={[idling, asleep].filter(Boolean).join(' ')}
      onPlace={(zoneId, [xIn, yIn]) => {
        const hit = step.zones.find((z) => z.id === zoneId);
        const place = { xIn: Math.round(xIn * 10) / 10, yIn: Math.round(yIn * 10) / 10 };
        if (hit) log('zone-begun', { ...key!, zoneId: hit.id, ...place });
      }}
    />
  );
}

function AllSewn({ stand: { quilt, newest, newestWords, acts } }: { stand: Stand }) {
  return (
    <div className="mt-6">
      <p className="text-44">Every step is sewn. Take it off, trim, and look over both sides.</p>
      <p className="mt-6 flex flex-wrap gap-4">
        <ButtonLink look="act" href={`/quilts/${quilt.id}/hand-back`}>
          To hand back
        </ButtonLink>
        {newest && !quilt.quilted && <Big label="Undo" under={newestWords!} onClick={acts.undo} />}
      </p>
    </div>
  );
}

/** Everything that is read above, everything that is pressed below: no notice ever lies over a control. */
function Screen({ children, controls }: { children: React.ReactNode; controls?: React.ReactNode }) {
  return (
    <div
      data-theme="lamp"
      data-stand
      className="fixed inset-0 z-30 flex flex-col bg-ground px-4 pt-1 pb-3 text-ink sm:px-6"
    >
      <div className="min-h-0 flex-1 overflow-y-auto">{children}</div>
      {controls && <div className="shrink-0 pt-2">{controls}</div>}
    </div>
  );
}
