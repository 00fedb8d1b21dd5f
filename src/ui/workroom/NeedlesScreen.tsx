'use client';
import { useState } from 'react';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import { safety } from '@/core/cautions/cautions';
import { NEEDLE } from '@/core/fields/needle';
import { usualValues } from '@/core/fields/stored';
import { POINT_LABEL, usSize } from '@/core/tables/needles';
import type { DrawerNeedle, FittedNeedle, Machine } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Empty } from '@/ui/kit/Empty';
import { formFields } from '@/ui/kit/form-fields';
import { RecordDialog } from '@/ui/kit/RecordDialog';
import { Stepper } from '@/ui/kit/Stepper';
import { useActionForm } from '@/ui/kit/use-action-form';
import { grouped } from '@/ui/kit/counts';

const FORM = formFields(NEEDLE);
const nameOf = (n: Pick<DrawerNeedle, 'nm' | 'eye' | 'point' | 'coated'>) =>
  `Nm ${n.nm} / US ${usSize(n.nm) ?? '?'}, ${POINT_LABEL[n.point]}${n.eye === 'large' ? ', large eye' : ''}${n.coated ? ', coated' : ''}`;

/** Needles in the drawer, and the one in each machine with its stitches. */
export function NeedlesScreen({
  needles,
  fitted,
  machines,
  warnShare,
}: {
  needles: DrawerNeedle[];
  fitted: FittedNeedle[];
  machines: Machine[];
  warnShare: number;
}) {
  const [adding, setAdding] = useState(false);
  const [sewing, setSewing] = useState<Machine | null>(null);
  const change = useActionForm(doors.changeNeedle, ({ nm }) => toast(`A new Nm ${nm} is in the machine.`));
  const count = useActionForm(doors.countNeedles, () => {});
  const out = needles.filter((n) => n.stock === 0);
  const add = (
    <Button look="act" onClick={() => setAdding(true)}>
      Add needles
    </Button>
  );
  return (
    <div className="mt-4 grid gap-x-10 gap-y-6 lg:grid-cols-[1fr_1.2fr]">
      <section aria-label="In the machines">
        <h2 className="border-t-2 border-ink pt-2 text-20">In the machines</h2>
        {machines.length === 0 && <p className="mt-2 text-ink2">Add a machine first.</p>}
        {machines.map((m) => {
          const f = fitted.find((x) => x.machineId === m.id);
          const share = f ? f.stitches / f.life : 0;
          return (
            <div key={m.id} className="border-b py-3">
              <p className="font-semibold">{m.name}</p>
              {f ? (
                <>
                  <p>{nameOf(f)}</p>
                  <div
                    role="meter"
                    aria-label={`Needle used in ${m.name}`}
                    aria-valuemin={0}
                    aria-valuemax={100}
                    aria-valuenow={Math.min(100, Math.round(share * 100))}
                    className="mt-2 h-3 border border-ink bg-cloth"
                  >
                    <div
                      className={
                        share >= 1
                          ? 'h-full bg-madder'
                          : share >= warnShare
                            ? 'h-full bg-weld'
                            : 'h-full bg-verdigris'
                      }
                      style={{ width: `${Math.min(100, share * 100)}%` }}
                    />
                  </div>
                  <p className={`mt-1 ${share >= warnShare ? 'font-semibold text-weld-text' : 'text-ink2'}`}>
                    {grouped(f.stitches)} of about {grouped(f.life)} stitches
                    {share >= 1
                      ? ': past its life, change it'
                      : share >= warnShare
                        ? ': due for a change'
                        : ''}
                  </p>
                </>
              ) : (
                <p className="text-ink2">Not known which needle is in it.</p>
              )}
              <p className="mt-2 text-13">
                <CautionLine caution={safety('power-off-service', 'warn')} />
              </p>
              <div className="mt-2 flex flex-wrap gap-2">
                {f && (
                  <Button
                    disabled={change.pending}
                    onClick={() =>
                      change.send({ machineId: m.id, nm: f.nm, eye: f.eye, point: f.point, coated: f.coated })
                    }
                  >
                    Changed for a new one
                  </Button>
                )}
                {f && (
                  <Button look="quiet" onClick={() => setSewing(m)}>
                    Add stitches
                  </Button>
                )}
              </div>
              {change.problems.map((p) => (
                <p key={p.message} role="alert" className="mt-2 font-medium text-madder">
                  {p.message}
                </p>
              ))}
            </div>
          );
        })}
      </section>
      <section aria-label="In the drawer">
        <div className="flex items-center border-t-2 border-ink pt-2">
          <h2 className="flex-1 text-20">In the drawer</h2>
          {needles.length > 0 && add}
        </div>
        {out.length > 0 && (
          <p role="status" className="mt-2 border-l-4 border-weld bg-weld-tint px-3 py-2 font-medium">
            Out: {out.map((n) => `Nm ${n.nm} ${n.point}`).join(', ')}.
          </p>
        )}
        {needles.length === 0 ? (
          <Empty title="The drawer is empty" act={add}>
            Say which needles you own; matching takes only those.
          </Empty>
        ) : (
          <ul className="mt-1">
            {needles.map((n) => (
              <li key={n.id} className="flex min-h-[56px] flex-wrap items-center gap-3 border-b">
                <span className="min-w-[220px] flex-1">{nameOf(n)}</span>
                <Stepper
                  label={nameOf(n)}
                  value={n.stock}
                  busy={count.pending}
                  onChange={(stock) => count.send({ id: n.id, version: n.version, stock })}
                />
                {machines.map((m) => (
                  <Button
                    key={m.id}
                    look="quiet"
                    className="!px-3 !text-15"
                    disabled={n.stock === 0 || change.pending}
                    onClick={() =>
                      change.send({ machineId: m.id, nm: n.nm, eye: n.eye, point: n.point, coated: n.coated })
                    }
                  >
                    Into {machines.length > 1 ? m.name : 'the machine'}
                  </Button>
                ))}
              </li>
            ))}
          </ul>
        )}
      </section>
      {adding && (
        <RecordDialog
          title="Add needles"
          about="How many of a kind are in the drawer now."
          onClose={() => setAdding(false)}
          specs={FORM}
          initial={usualValues(NEEDLE)}
          act={doors.keepNeedles}
          onDone={() => {
            toast('The drawer is counted.');
            setAdding(false);
          }}
          submit="Put them in the drawer"
        />
      )}
      {sewing && (
        <RecordDialog
          title="Add stitches"
          about={`Sewn with the needle in ${sewing.name} and not counted yet; a number below 0 takes back a slip.`}
          onClose={() => setSewing(null)}
          specs={[{ name: 'stitches', label: 'Stitches', kind: 'number', wide: true }]}
          initial={{}}
          fixed={{ machineId: sewing.id }}
          act={doors.sewStitches}
          onDone={() => setSewing(null)}
          submit="Count them"
        />
      )}
    </div>
  );
}
