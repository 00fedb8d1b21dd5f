'use client';
import { DIRECTIONS } from '@/core/fields/lists';
import { useCallback, useRef, useState } from 'react';
import { toast } from '@/ui/kit/toast';
import { logFaultAction } from '@/actions/server';
import { contains } from '@/core/geometry/polygon';
import type { Quilt, Zone } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { Choice } from '@/ui/kit/Choice';
import { TextArea, TextField } from '@/ui/kit/Field';
import { Modal } from '@/ui/kit/Modal';
import { numberOf } from '@/ui/kit/number-of';
import { Problems } from '@/ui/kit/Problems';
import { useActionForm } from '@/ui/kit/use-action-form';
import { Pin, QuiltMap } from '@/ui/quilt-map/QuiltMap';
import { DIRECTION_LABEL } from '@/ui/test-strip/words';
import { SymptomPicker } from './SymptomPicker';

const NONE = 'none';
const FIELDS = ['symptoms', 'xIn', 'yIn', 'pass', 'direction', 'note', 'zoneId'];
export type FaultQuilt = Pick<
  Quilt,
  'id' | 'name' | 'widthIn' | 'lengthIn' | 'passes' | 'depthsIn' | 'turned'
>;

/** The pass a place lies in, by the passes that are fixed. */
function passAt(q: FaultQuilt, x: number, y: number): number | null {
  if (!q.passes) return null;
  const depths = q.depthsIn ?? Array<number>(q.passes).fill(q.lengthIn / q.passes);
  let end = 0;
  const at = depths.findIndex((d) => (q.turned ? x : y) <= (end += d) + 1e-9);
  return at < 0 ? q.passes : at + 1;
}

/** A fault as it is noticed: what is seen, where on the quilt, in which pass and direction, and a note. */
export function FaultDialog({
  quilt,
  zones,
  zoneId,
  onClose,
}: {
  quilt: FaultQuilt;
  zones: Zone[];
  zoneId?: string;
  onClose: () => void;
}) {
  const [seen, setSeen] = useState<string[]>([]);
  const [x, setX] = useState('');
  const [y, setY] = useState('');
  const [zone, setZone] = useState(zoneId ?? NONE);
  const [pass, setPass] = useState('');
  const [direction, setDirection] = useState<string>(NONE);
  const [note, setNote] = useState('');
  const done = useCallback(
    ({ n }: { n: number }) => {
      toast(`Fault ${n} is noted on ${quilt.name}.`);
      onClose();
    },
    [onClose, quilt.name],
  );
  const { send, pending, problems, problemAt } = useActionForm(logFaultAction, done);
  const map = useRef<HTMLDivElement>(null);

  const place = (e: React.MouseEvent) => {
    const svg = map.current?.querySelector('svg');
    const to = svg?.getScreenCTM()?.inverse();
    if (!svg || !to) return;
    const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(to);
    const [px, py] = [Math.round(at.x * 2) / 2, Math.round(at.y * 2) / 2];
    if (px < 0 || py < 0 || px > quilt.widthIn || py > quilt.lengthIn) return;
    setX(String(px));
    setY(String(py));
    const under = zones.find((z) => contains(z.geometry, [px + 0.01, py + 0.01]));
    if (under) setZone(under.id);
    const inPass = passAt(quilt, px, py);
    if (inPass) setPass(String(inPass));
  };
  const [px, py] = [numberOf(x), numberOf(y)];
  const pinned = typeof px === 'number' && typeof py === 'number';

  return (
    <Modal
      open
      onOpenChange={(open) => !open && onClose()}
      title="Note a fault"
      about={`${quilt.name}. Stop sewing first; note it while you see it.`}
      wide
    >
      <form
        className="mt-4 grid gap-5 md:grid-cols-[1fr_auto]"
        onSubmit={(e) => {
          e.preventDefault();
          if (pending) return;
          send({
            quiltId: quilt.id,
            zoneId: zone === NONE ? null : zone,
            symptoms: seen,
            xIn: px,
            yIn: py,
            pass: numberOf(pass),
            direction: direction === NONE ? null : direction,
            note,
          });
        }}
      >
        <div className="space-y-3">
          <SymptomPicker value={seen} onChange={setSeen} invalid={problemAt('symptoms') !== undefined} />
          {problemAt('symptoms') && (
            <p id="symptoms-error" role="alert" className="font-medium text-madder">
              {problemAt('symptoms')}
            </p>
          )}
          <TextArea
            id="fault-note"
            label="Note"
            rows={2}
            value={note}
            onChange={(e) => setNote(e.target.value)}
            error={problemAt('note')}
          />
        </div>
        <div className="space-y-3 md:w-[340px]">
          <div>
            <p className="mb-1 text-13 font-medium text-ink2">Place · press it on the map, or give inches</p>
            <div ref={map} onClick={place} className="cursor-crosshair">
              <QuiltMap
                idPrefix="fault"
                widthIn={quilt.widthIn}
                lengthIn={quilt.lengthIn}
                zones={zones}
                width={330}
                maxHeight={230}
                passes={quilt.passes}
                bands={quilt.depthsIn && { depthsIn: quilt.depthsIn, turned: quilt.turned }}
                chosenId={zone === NONE ? undefined : zone}
              >
                {pinned && <Pin x={px} y={py} n={0} unit={quilt.lengthIn / 220} status="open" />}
              </QuiltMap>
            </div>
          </div>
          <div className="grid grid-cols-3 gap-2">
            <TextField
              id="fault-x"
              label="From the left, in"
              inputMode="decimal"
              value={x}
              onChange={(e) => setX(e.target.value)}
              error={problemAt('xIn')}
            />
            <TextField
              id="fault-y"
              label="From the top, in"
              inputMode="decimal"
              value={y}
              onChange={(e) => setY(e.target.value)}
              error={problemAt('yIn')}
            />
            <TextField
              id="fault-pass"
              label="Pass"
              inputMode="numeric"
              value={pass}
              onChange={(e) => setPass(e.target.value)}
              error={problemAt('pass')}
            />
          </div>
          <div className="grid grid-cols-2 gap-2">
            <Choice
              id="fault-zone"
              label="Zone"
              value={zone}
              onChange={setZone}
              error={problemAt('zoneId')}
              options={[
                { value: NONE, label: 'by the place' },
                ...zones.map((z) => ({ value: z.id, label: `${z.letter}, ${z.name}` })),
              ]}
            />
            <Choice
              id="fault-direction"
              label="Direction"
              value={direction}
              onChange={setDirection}
              error={problemAt('direction')}
              options={[
                { value: NONE, label: 'any, or not known' },
                ...DIRECTIONS.map((d) => ({ value: d, label: DIRECTION_LABEL[d] })),
              ]}
            />
          </div>
          <Problems problems={problems} fields={FIELDS} />
          <Button look="act" type="submit" disabled={pending} className="w-full">
            Note this fault
          </Button>
        </div>
      </form>
    </Modal>
  );
}
