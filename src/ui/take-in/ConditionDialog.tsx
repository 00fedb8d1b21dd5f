'use client';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import type { Condition } from '@/data/types';
import type { Zone } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { toForm, type Values } from '@/ui/kit/field-spec';
import { Modal } from '@/ui/kit/Modal';
import { PhotoButton } from '@/ui/kit/PhotoButton';
import { Problems } from '@/ui/kit/Problems';
import { sendPhotograph } from '@/ui/kit/send-photograph';
import { toast } from '@/ui/kit/toast';
import { newKey, useActionForm } from '@/ui/kit/use-action-form';
import { pressedAt } from '@/ui/quilt-map/pressed-at';
import { ConditionMark, QuiltMap } from '@/ui/quilt-map/QuiltMap';
import { CONDITION_SPECS, ConditionFields, conditionSent, newCondition } from './ConditionFields';

export interface ConditionQuilt {
  id: string;
  name: string;
  widthIn: number;
  lengthIn: number;
}

/** One thing found on a quilt, with its place on the map and its photograph. */
export function ConditionDialog({
  quilt,
  zones,
  condition,
  onClose,
}: {
  quilt: ConditionQuilt;
  zones: Zone[];
  condition: Condition | null;
  onClose: () => void;
}) {
  const [said, setSaid] = useState<Values>(
    condition ? { ...newCondition(), ...toForm(CONDITION_SPECS, condition) } : newCondition(),
  );
  const [at, setAt] = useState<{ xIn: number | null; yIn: number | null }>({
    xIn: condition?.xIn ?? null,
    yIn: condition?.yIn ?? null,
  });
  const [photographId, setPhotograph] = useState(condition?.photographId ?? null);
  const [photoProblem, setPhotoProblem] = useState<string | null>(null);
  const { send, pending, problems, problemAt } = useActionForm(doors.keepCondition, () => {
    toast('Saved.');
    onClose();
  });
  const place = (e: React.MouseEvent) => {
    const pressed = pressedAt(e, quilt);
    if (pressed) setAt(pressed);
  };
  const remove = () =>
    void doors.removeCondition({ key: newKey(), id: condition!.id, removed: true }).then((r) => {
      if (!r.ok) return;
      toast('Removed from the list.', {
        action: {
          label: 'Undo',
          onClick: () => void doors.removeCondition({ key: newKey(), id: condition!.id, removed: false }),
        },
      });
      onClose();
    });
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onClose()}
      title={condition ? `Found on arrival: ${condition.n}` : 'Something found on it'}
      about={`${quilt.name}. Kept so that nobody wonders later whether it was there before.`}
      wide
    >
      <form
        className="mt-3 grid gap-5 md:grid-cols-[1fr_auto]"
        onSubmit={(e) => {
          e.preventDefault();
          if (pending) return;
          send({
            ...conditionSent(said),
            ...at,
            quiltId: quilt.id,
            id: condition?.id ?? null,
            version: condition?.version ?? null,
            photographId,
          });
        }}
      >
        <div>
          <ConditionFields value={said} onChange={setSaid} problemAt={problemAt} />
          <div className="mt-3 flex flex-wrap items-center gap-3">
            <PhotoButton
              name="Photograph of it"
              capture="environment"
              onFile={(file) =>
                void sendPhotograph(quilt.id, file, 'condition').then((r) => {
                  setPhotoProblem(r.ok ? null : r.problems[0]!.message);
                  if (r.ok) setPhotograph(r.value.id);
                })
              }
            >
              {photographId ? 'Another photograph' : 'Photograph'}
            </PhotoButton>
            {photographId && (
              // eslint-disable-next-line @next/next/no-img-element -- a photograph from this app's own database
              <img src={`/photographs/${photographId}`} alt="Photograph of it" className="h-[80px] border" />
            )}
          </div>
          {photoProblem && (
            <p role="alert" className="mt-1 font-medium text-madder">
              {photoProblem}
            </p>
          )}
          <div className="mt-2">
            <Problems problems={problems} fields={CONDITION_SPECS.map((s) => s.name)} />
          </div>
          <div className="mt-3 flex gap-3">
            {condition && (
              <Button look="quiet" onClick={remove}>
                Remove
              </Button>
            )}
            <Button look="act" type="submit" disabled={pending} className="flex-1">
              Save
            </Button>
          </div>
        </div>
        <div className="md:w-[300px]">
          <p className="mb-1 text-13 font-medium text-ink2">
            {at.xIn === null
              ? 'Press where it is, if it has one place'
              : `${at.xIn} in from the left, ${at.yIn} in from the top`}
          </p>
          <div onClick={place} role="presentation" className="cursor-crosshair">
            <QuiltMap
              idPrefix="condition"
              widthIn={quilt.widthIn}
              lengthIn={quilt.lengthIn}
              zones={zones}
              width={290}
              maxHeight={330}
              passes={null}
            >
              {at.xIn !== null && at.yIn !== null && (
                <ConditionMark x={at.xIn} y={at.yIn} n={condition?.n ?? 0} unit={quilt.lengthIn / 220} />
              )}
            </QuiltMap>
          </div>
        </div>
      </form>
    </Modal>
  );
}
