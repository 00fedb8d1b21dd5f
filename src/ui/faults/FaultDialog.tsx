'use client';
import { useEffect, useState } from 'react';
import type { NotedFault } from '@/actions/faults';
import { doors } from '@/actions/doors';
import { contains } from '@/core/geometry/polygon';
import { signs } from '@/core/tables/symptoms';
import type { Quilt, Zone } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { Modal } from '@/ui/kit/Modal';
import { Problems } from '@/ui/kit/Problems';
import { useActionForm } from '@/ui/kit/use-action-form';
import { pressedAt } from '@/ui/quilt-map/pressed-at';
import { Pin, QuiltMap } from '@/ui/quilt-map/QuiltMap';
import { FaultDetails, type Said } from './FaultDetails';
import { SignTiles } from './SignTiles';

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

/** A fault as it is noticed, in two taps: what, and where. It is kept then; whatever else is known is told after. */
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
  const [order, setOrder] = useState<string[] | null>(null);
  const [said, setSaid] = useState<Said>({
    symptoms: [],
    xIn: null,
    yIn: null,
    pass: null,
    zoneId: zoneId ?? null,
  });
  const [noted, setNoted] = useState<NotedFault | null>(null);
  const { send, pending, problems, problemAt } = useActionForm(doors.logFault, setNoted);

  useEffect(() => {
    const gone = new AbortController();
    fetch(`/quilts/${quilt.id}/faults/start?zone=${zoneId ?? ''}`, { signal: gone.signal })
      .then((r) => (r.ok ? (r.json() as Promise<string[]>) : Promise.reject(new Error('no answer'))))
      .then(setOrder)
      // Without an answer the table's own order serves.
      .catch(() => gone.signal.aborted || setOrder([...signs.ids]));
    return () => gone.abort();
  }, [quilt.id, zoneId]);

  const note = (next: Said) => {
    setSaid(next);
    if (!pending && next.symptoms.length > 0) send({ ...next, quiltId: quilt.id, direction: null, note: '' });
  };
  const place = (e: React.MouseEvent) => {
    const at = pressedAt(e, quilt);
    if (!at) return;
    const { xIn, yIn } = at;
    const under = zones.find((z) => contains(z.geometry, [xIn + 0.01, yIn + 0.01]));
    note({ ...said, xIn, yIn, pass: passAt(quilt, xIn, yIn), zoneId: under?.id ?? said.zoneId });
  };
  const names = said.symptoms.map((s) => signs.get(s).label).join(', ');
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onClose()}
      title={noted ? `Fault ${noted.n} is noted` : 'Note a fault'}
      about={
        noted
          ? `${names}. What else you know:`
          : `${quilt.name}. Stop sewing first; note it while you see it.`
      }
      wide
    >
      {noted ? (
        <FaultDetails quiltId={quilt.id} noted={noted} said={said} zones={zones} onClose={onClose} />
      ) : (
        <div className="mt-3 grid gap-5 md:grid-cols-[1fr_auto]">
          {/* Tiles come in their order, not in one that changes under the finger. */}
          <div className="min-h-[340px]">
            <SignTiles
              order={order ?? []}
              value={said.symptoms}
              onChange={(ids) =>
                said.xIn === null ? setSaid({ ...said, symptoms: ids }) : note({ ...said, symptoms: ids })
              }
              error={problemAt('symptoms')}
            />
          </div>
          <div className="space-y-3 md:w-[340px]">
            <div>
              <p className="mb-1 text-13 font-medium text-ink2">
                {said.symptoms.length > 0
                  ? 'Press where it is: then it is noted'
                  : said.xIn === null
                    ? 'Then press where it is'
                    : 'Now pick what you saw'}
              </p>
              <div onClick={place} role="presentation" className="cursor-crosshair">
                <QuiltMap
                  idPrefix="fault"
                  widthIn={quilt.widthIn}
                  lengthIn={quilt.lengthIn}
                  zones={zones}
                  width={330}
                  maxHeight={330}
                  passes={quilt.passes}
                  bands={quilt.depthsIn && { depthsIn: quilt.depthsIn, turned: quilt.turned }}
                  chosenId={said.zoneId ?? undefined}
                >
                  {said.xIn !== null && said.yIn !== null && (
                    <Pin x={said.xIn} y={said.yIn} n={0} unit={quilt.lengthIn / 220} status="open" />
                  )}
                </QuiltMap>
              </div>
            </div>
            <Problems problems={problems} fields={['symptoms']} />
            <Button
              look="act"
              className="w-full"
              disabled={pending || said.symptoms.length === 0}
              onClick={() => note(said)}
            >
              Note it without a place
            </Button>
          </div>
        </div>
      )}
    </Modal>
  );
}
