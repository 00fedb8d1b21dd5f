'use client';
import { useState } from 'react';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import { safety } from '@/core/cautions/cautions';
import type { TurnRule } from '@/core/fields/lists';
import { Button, ButtonLink } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Problems } from '@/ui/kit/Problems';
import { RecordForm } from '@/ui/kit/RecordForm';
import { useActionForm } from '@/ui/kit/use-action-form';

export interface NextStep {
  pass: number;
  thread: string;
  stabilise: boolean;
  /** What it is called: pass, thread, zones. */
  words: string;
  minutes: number;
}

/** Fixing the passes, going on the frame, logging a step that is sewn, handing back: one next act at a time. */
export function StepForm(p: {
  quiltId: string;
  version: number;
  turnRule: TurnRule;
  /** It is quilted on a table: there are no passes. */
  onTable?: boolean;
  planned: number | null;
  fixed: number | null;
  begun: boolean;
  /** How the Workroom has moved on since it was begun. */
  moved: readonly string[];
  next: NextStep | null;
  onFrame: boolean;
  /** The quilt that is on the frame instead. */
  framed: { id: string; name: string } | null;
  quilted: boolean;
  home: boolean;
}) {
  const place = p.onTable ? 'the table' : 'the frame';
  const thisPlace = p.onTable ? 'this table' : 'this frame';
  const fix = useActionForm(doors.fixPlan, ({ passes }) =>
    toast(p.onTable ? 'The plan is locked in.' : `${passes} passes are locked in.`),
  );
  const frame = useActionForm(doors.putOnFrame, ({ where }) =>
    toast(where === 'on' ? `It is on ${place}.` : `It is off ${place}.`),
  );
  const [asked, setAsked] = useState(false);
  const put = (where: 'on' | 'off') => frame.send({ quiltId: p.quiltId, where });
  const plan = (turnRule: TurnRule) => fix.send({ quiltId: p.quiltId, version: p.version, turnRule });
  return (
    <div>
      {p.planned !== null && p.fixed === null && (
        <div className="flex flex-wrap gap-3">
          <Button look="act" disabled={fix.pending} onClick={() => plan(p.turnRule)}>
            {p.onTable ? 'Lock in this plan' : `Lock in these ${p.planned} passes`}
          </Button>
          {!p.onTable && (
            <Button
              look="quiet"
              disabled={fix.pending}
              onClick={() => plan(p.turnRule === 'auto' ? 'never' : 'auto')}
            >
              {p.turnRule === 'auto' ? 'Load it upright' : 'Load it sideways where that saves passes'}
            </Button>
          )}
        </div>
      )}
      {p.fixed !== null && p.moved.length > 0 && !p.quilted && (
        <div className="mb-3 border-l-4 border-weld bg-weld-tint px-3 py-2">
          <p className="font-medium">
            The Workroom has moved on since this quilt was begun. {p.moved.join(' ')} Its passes stand as they
            were locked in.
          </p>
          <Button className="mt-2" disabled={fix.pending} onClick={() => plan(p.turnRule)}>
            {p.begun ? 'Plan anew what is not sewn' : 'Lock the passes in anew'}
          </Button>
        </div>
      )}
      {p.fixed !== null && !p.onFrame && p.next && (
        <div className="mt-2">
          {asked && p.framed ? (
            <div
              role="group"
              aria-label={`${p.framed.name} is on ${thisPlace}`}
              className="flex flex-wrap items-center gap-3"
            >
              <p className="font-medium">
                {p.framed.name} is on {thisPlace}.
              </p>
              <Button
                look="act"
                disabled={frame.pending}
                onClick={() => frame.send({ quiltId: p.quiltId, where: 'on', insteadOf: p.framed!.id })}
              >
                Take {p.framed.name} off
              </Button>
              <Button look="quiet" onClick={() => setAsked(false)}>
                Cancel
              </Button>
            </div>
          ) : (
            <Button
              look="act"
              disabled={frame.pending}
              onClick={() => (p.framed ? setAsked(true) : put('on'))}
            >
              Put it on {place}
            </Button>
          )}
          {!p.onTable && (
            <p className="mt-2">
              <CautionLine caution={safety('pinch', 'note')} />
            </p>
          )}
        </div>
      )}
      {p.onFrame && p.next && (
        <div className="flex flex-wrap items-end gap-x-3 [&_form]:!mt-0 [&_form]:w-[520px] [&_form]:max-w-full">
          <RecordForm
            key={`${p.next.pass} ${p.next.thread} ${p.next.stabilise}`}
            specs={[
              {
                name: 'minutes',
                label: `Minutes for ${p.next.words}`,
                kind: 'number',
                hint: `about ${Math.max(1, Math.round(p.next.minutes))}`,
                wide: true,
              },
            ]}
            initial={{}}
            fixed={{
              quiltId: p.quiltId,
              pass: p.next.pass,
              thread: p.next.thread,
              stabilise: p.next.stabilise,
            }}
            act={doors.logStep}
            onDone={({ left }) =>
              toast(left === 0 ? 'The last step is logged.' : `The step is logged; ${left} are left.`)
            }
            submit="Finish step"
          />
          <Button look="quiet" className="mt-2" disabled={frame.pending} onClick={() => put('off')}>
            Take it off {place}
          </Button>
        </div>
      )}
      {p.quilted && (
        <ButtonLink look={p.home ? 'plain' : 'act'} href={`/quilts/${p.quiltId}/hand-back`}>
          {p.home ? 'It is home: its sheet and record' : 'To hand back'}
        </ButtonLink>
      )}
      <Problems problems={[...fix.problems, ...frame.problems]} />
    </div>
  );
}
