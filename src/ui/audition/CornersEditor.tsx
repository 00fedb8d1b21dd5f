'use client';
import { useRef, useState } from 'react';
import { useRouter } from 'next/navigation';
import { doors } from '@/actions/doors';
import { isOpenQuad } from '@/core/audition/perspective';
import type { XY } from '@/core/geometry/polygon';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';

const NAMES = ['top left', 'top right', 'bottom right', 'bottom left'] as const;
const START: readonly XY[] = [
  [0.08, 0.08],
  [0.92, 0.08],
  [0.92, 0.92],
  [0.08, 0.92],
];
/** An arrow moves a corner by so much of the picture, with Shift by ten times that. */
const NUDGE = 0.002;
const MOVES: Readonly<Record<string, XY>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const inside = (n: number) => Math.min(1.2, Math.max(-0.2, n));

/** The four corners of the quilt pulled to where they lie in a photograph, by hand or with the arrows. */
export function CornersEditor({
  quiltId,
  photograph,
  onDone,
}: {
  quiltId: string;
  photograph: { id: string; corners: readonly XY[] | null };
  onDone: () => void;
}) {
  const router = useRouter();
  const [corners, setCorners] = useState<readonly XY[]>(photograph.corners ?? START);
  const picture = useRef<HTMLDivElement>(null);
  const { send, pending, problems } = useActionForm(doors.placePhotograph, () => {
    toast('The map lies on the photograph.');
    onDone();
    router.refresh();
  });
  const move = (i: number, to: XY) =>
    setCorners((now) => now.map((c, k) => (k === i ? ([inside(to[0]), inside(to[1])] as const) : c)));
  const drag = (i: number, e: React.PointerEvent) => {
    if (!e.currentTarget.hasPointerCapture(e.pointerId)) return;
    const box = picture.current!.getBoundingClientRect();
    move(i, [(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height]);
  };
  const open = isOpenQuad(corners);
  return (
    <section aria-label="Corners of the quilt in the photograph" className="mt-3">
      <p>Pull each mark to its corner of the quilt. The arrow keys move the mark that is picked.</p>
      <div ref={picture} className="relative mt-2 inline-block max-w-[560px] touch-none">
        {/* eslint-disable-next-line @next/next/no-img-element -- as it was taken, no other size is needed */}
        <img
          src={`/photographs/${photograph.id}`}
          alt="The quilt"
          className="block max-h-[420px] max-w-full"
        />
        <svg
          className="pointer-events-none absolute inset-0 size-full"
          viewBox="0 0 1 1"
          preserveAspectRatio="none"
          aria-hidden
        >
          <path
            d={`M${corners.map((c) => c.join(' ')).join('L')}Z`}
            fill="none"
            stroke={open ? '#fff' : 'var(--madder)'}
            strokeWidth={2}
            vectorEffect="non-scaling-stroke"
          />
        </svg>
        {corners.map(([x, y], i) => (
          <button
            key={NAMES[i]}
            type="button"
            aria-label={`Corner ${NAMES[i]}, ${Math.round(x * 100)} % across, ${Math.round(y * 100)} % down`}
            className="absolute size-11 -translate-x-1/2 -translate-y-1/2 rounded-full border-[3px] border-indigo bg-cloth/60"
            style={{ left: `${x * 100}%`, top: `${y * 100}%` }}
            onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
            onPointerMove={(e) => drag(i, e)}
            onKeyDown={(e) => {
              const by = MOVES[e.key];
              if (!by) return;
              e.preventDefault();
              const step = NUDGE * (e.shiftKey ? 10 : 1);
              move(i, [x + by[0] * step, y + by[1] * step]);
            }}
          />
        ))}
      </div>
      {!open && (
        <p role="alert" className="mt-1 font-medium text-weld-text">
          The corners must go round the quilt, none on the line between two others.
        </p>
      )}
      <Problems problems={problems} />
      <div className="mt-2 flex gap-3">
        <Button
          look="act"
          disabled={pending || !open}
          onClick={() =>
            send({ quiltId, photographId: photograph.id, corners: corners.map(([x, y]) => ({ x, y })) })
          }
        >
          The map lies so
        </Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </section>
  );
}
