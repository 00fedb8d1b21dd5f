'use client';
import { useRef } from 'react';
import type { XY } from '@/core/geometry/polygon';
import type { PathPoint } from '@/core/machine/regulator';
import { type Drill, FIELD_IN } from '@/core/practice/drills';
import { polyline } from '@/ui/draw/mark';

/** A hand cannot be told from noise closer than this, ms and inches. */
const STEP_MS = 4;
const STEP_IN = 0.004;
/** An inch as a hundred units, so that drawn lines keep their hundredths. */
const UNIT = 100;
const scaled = (line: readonly XY[]) => polyline(line.map(([x, y]) => [x * UNIT, y * UNIT] as const));

/** The field of a drill: the line to follow, and the hand's own as it is drawn, by finger, pen or mouse. */
export function DrillField({ drill, onDrawn }: { drill: Drill; onDrawn: (path: PathPoint[]) => void }) {
  const drawn = useRef<PathPoint[]>([]);
  const own = useRef<SVGPathElement>(null);
  const isDown = useRef(false);
  const placeOf = (e: { clientX: number; clientY: number }, svg: SVGSVGElement): XY | null => {
    const to = svg.getScreenCTM()?.inverse();
    if (!to) return null;
    const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(to);
    return [at.x / UNIT, at.y / UNIT];
  };
  const add = (e: { clientX: number; clientY: number; timeStamp: number }, svg: SVGSVGElement) => {
    const at = placeOf(e, svg);
    const last = drawn.current.at(-1);
    if (!at || (last && e.timeStamp - last.tMs < STEP_MS)) return;
    // A hand that rests is kept too: it is what a point is made of.
    const isStill = last && Math.hypot(at[0] - last.xIn, at[1] - last.yIn) < STEP_IN;
    drawn.current.push({
      tMs: e.timeStamp,
      xIn: isStill ? last.xIn : at[0],
      yIn: isStill ? last.yIn : at[1],
    });
    own.current?.setAttribute('d', scaled(drawn.current.map((p) => [p.xIn, p.yIn] as const)));
  };
  const end = () => {
    isDown.current = false;
    const [first] = drawn.current;
    if (drawn.current.length >= 10) onDrawn(drawn.current.map((p) => ({ ...p, tMs: p.tMs - first!.tMs })));
    drawn.current = [];
  };
  return (
    <svg
      viewBox={`0 0 ${FIELD_IN.widthIn * UNIT} ${FIELD_IN.heightIn * UNIT}`}
      className="w-full touch-none border border-rule bg-cloth select-none"
      role="img"
      aria-label={`${drill.label}: draw along the line, from the ring to the bar`}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        drawn.current = [];
        isDown.current = true;
        add(e, e.currentTarget);
      }}
      onPointerMove={(e) => isDown.current && add(e, e.currentTarget)}
      onPointerUp={(e) => {
        if (!isDown.current) return;
        add(e, e.currentTarget);
        end();
      }}
      onPointerCancel={end}
    >
      {drill.beside.length > 1 && (
        <path d={scaled(drill.beside)} fill="none" stroke="var(--walnut)" strokeWidth={5} />
      )}
      <path
        d={scaled(drill.line)}
        fill="none"
        stroke="var(--rule)"
        strokeWidth={3}
        strokeDasharray="12 9"
        strokeLinejoin="round"
      />
      <Ends line={drill.line} />
      <path ref={own} d="" fill="none" stroke="var(--indigo)" strokeWidth={4} strokeLinejoin="round" />
    </svg>
  );
}

/** Where a drill begins, a ring, and where it ends, a bar. */
function Ends({ line }: { line: readonly XY[] }) {
  const [[x, y], [ex, ey]] = [line[0]!, line.at(-1)!];
  return (
    <>
      <circle cx={x * UNIT} cy={y * UNIT} r={11} fill="none" stroke="var(--ink)" strokeWidth={3} />
      <path d={`M${ex * UNIT + 14} ${ey * UNIT - 12}v24`} stroke="var(--ink)" strokeWidth={4} />
    </>
  );
}
