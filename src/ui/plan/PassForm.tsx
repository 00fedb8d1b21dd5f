'use client';
import { toast } from 'sonner';
import { fixPlanAction, logPassAction, putOnFrameAction } from '@/actions/server';
import { safety } from '@/core/cautions/cautions';
import { Button } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Problems } from '@/ui/kit/Problems';
import { RecordForm } from '@/ui/kit/RecordDialog';
import { useActionForm } from '@/ui/kit/use-action-form';

/** Fixing the passes, going on the frame, and logging a pass that is sewn: one next act at a time. */
export function PassForm(p: {
  quiltId: string;
  version: number;
  turnRule: 'auto' | 'never';
  planned: number | null;
  fixed: number | null;
  sewn: number;
  onFrame: boolean;
  expected: number;
}) {
  const fix = useActionForm(fixPlanAction, ({ passes }) => toast(`${passes} passes are fixed.`));
  const frame = useActionForm(putOnFrameAction, ({ where }) =>
    toast(where === 'on' ? 'It is on the frame.' : 'It is off the frame.'),
  );
  const begun = p.sewn > 0;
  const moved = p.fixed !== null && p.planned !== null && p.fixed !== p.planned && !begun;
  const put = (where: 'on' | 'off') => frame.send({ quiltId: p.quiltId, where });
  return (
    <div>
      {p.planned !== null && (p.fixed === null || moved) && (
        <>
          {moved && (
            <p className="mb-2 text-weld-text">
              The plan has moved since {p.fixed} passes were fixed: it asks for {p.planned} now.
            </p>
          )}
          <div className="flex flex-wrap gap-3">
            <Button
              look="act"
              disabled={fix.pending}
              onClick={() => fix.send({ quiltId: p.quiltId, version: p.version, turnRule: p.turnRule })}
            >
              Fix these {p.planned} passes
            </Button>
            <Button
              look="quiet"
              disabled={fix.pending}
              onClick={() =>
                fix.send({
                  quiltId: p.quiltId,
                  version: p.version,
                  turnRule: p.turnRule === 'auto' ? 'never' : 'auto',
                })
              }
            >
              {p.turnRule === 'auto' ? 'Never turn it' : 'Turn it where that saves passes'}
            </Button>
          </div>
        </>
      )}
      {p.fixed !== null && !p.onFrame && p.sewn < p.fixed && (
        <div className="mt-2">
          <Button look={moved ? 'plain' : 'act'} disabled={frame.pending} onClick={() => put('on')}>
            Put it on the frame
          </Button>
          <p className="mt-2">
            <CautionLine caution={safety('pinch', 'note')} />
          </p>
        </div>
      )}
      {p.onFrame && p.fixed !== null && p.sewn < p.fixed && (
        <div className="max-w-[420px]">
          <RecordForm
            key={p.sewn}
            specs={[
              {
                name: 'minutes',
                label: `Minutes for pass ${p.sewn + 1}`,
                kind: 'number',
                hint: `about ${Math.round(p.expected)}`,
                wide: true,
              },
            ]}
            initial={{}}
            fixed={{ quiltId: p.quiltId, pass: p.sewn + 1 }}
            act={logPassAction}
            onDone={({ passesSewn }) => toast(`Pass ${passesSewn} is logged.`)}
            submit={`Pass ${p.sewn + 1} is done`}
          />
          <Button look="quiet" className="mt-2" disabled={frame.pending} onClick={() => put('off')}>
            Take it off the frame
          </Button>
        </div>
      )}
      <Problems problems={[...fix.problems, ...frame.problems]} />
    </div>
  );
}
