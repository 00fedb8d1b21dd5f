import { predicted, proven } from '@/core/source/known';
import type { Direction } from '@/core/fields/lists';
import type { TestRound } from '@/data/types';
import { Marks } from '@/ui/draw/Marks';
import { polyline } from '@/ui/draw/mark';
import { Sourced } from '@/ui/kit/Sourced';
import { DIRECTION_LABEL, TONE_TEXT, VERDICT_SIGN, VERDICT_WORD, verdictTone, worstVerdict } from './words';
import { facesAt, lineAndCurve, stitchMarks } from './stitch-side';

/** Tests shown side by side. */
const COLUMNS = 4;
const FACE = { top: 60, back: 50, gap: 6 };
/** How high the ribbon is shown, px. */
const SHOWN = 88;

/** The strip as it lies on the margin: the last tests, top above and back below, and the one to sew next. */
export function TestStrip(props: {
  rounds: readonly TestRound[];
  next: { topGf: number; bobbinGf: number; done: boolean; chance: number };
  top: string;
  bobbin: string;
  cloth: string;
  backing: string;
}) {
  const shown = props.rounds.slice(-COLUMNS);
  const cells = props.next.done ? shown.length : shown.length + 1;
  return (
    <ol
      className="mt-1.5 grid"
      style={{ gridTemplateColumns: `repeat(${Math.max(COLUMNS, cells)}, minmax(0, 1fr))` }}
    >
      {shown.map((r) => {
        const worst = worstVerdict(Object.values(r.verdicts));
        return (
          <li key={r.id}>
            <StripCell {...props} faces={facesAt(worst)} />
            <div className="pt-1 pl-4 leading-tight">
              <span className="text-[18px] font-bold">
                <Sourced of={proven(null, 'sewn')}>
                  {fmt(r.topGf)} / {fmt(r.bobbinGf)} <small className="text-13 font-medium">gf</small>
                </Sourced>
              </span>
              <p className="mt-0.5 leading-tight">
                Test {r.n}:{' '}
                <span className={`font-semibold ${TONE_TEXT[verdictTone(worst)]}`}>
                  {VERDICT_SIGN[worst]} {VERDICT_WORD[worst]}
                </span>
                <br />
                <span className="text-13 text-ink2">
                  {Object.entries(r.verdicts)
                    .map(
                      ([d, v]) =>
                        `${DIRECTION_LABEL[d as Direction].toLowerCase()} ${v > 0 ? '+' : ''}${String(v).replace('-', '−')}`,
                    )
                    .join(', ')}
                </span>
              </p>
            </div>
          </li>
        );
      })}
      {!props.next.done && (
        <li>
          <StripCell {...props} faces={null} />
          <div className="pt-1 pl-4 leading-tight">
            <span className="text-[18px] font-bold">
              <Sourced of={predicted(null)}>
                {fmt(props.next.topGf)} / {fmt(props.next.bobbinGf)}{' '}
                <small className="text-13 font-medium">gf</small>
              </Sourced>
            </span>
            <p className="mt-0.5 leading-tight">
              <b className="text-indigo">Test {props.rounds.length + 1}, sew this next</b>
              <br />
              <span className="text-13 text-ink2">
                expected balanced: {Math.round(props.next.chance * 100)} %
              </span>
            </p>
          </div>
        </li>
      )}
      {cells < COLUMNS && (
        <li aria-hidden style={{ gridColumn: `span ${COLUMNS - cells}` }}>
          <svg
            viewBox={`0 0 250 ${FACE.top + FACE.gap + FACE.back}`}
            className="block w-full"
            height={SHOWN}
            preserveAspectRatio="none"
          >
            <rect width="250" height={FACE.top} fill={props.cloth} />
            <rect y={FACE.top + FACE.gap} width="250" height={FACE.back} fill={props.backing} />
          </svg>
        </li>
      )}
    </ol>
  );
}

const fmt = (gf: number) => Number(gf.toFixed(1));

function StripCell(p: {
  top: string;
  bobbin: string;
  cloth: string;
  backing: string;
  faces: ReturnType<typeof facesAt> | null;
}) {
  const w = 250;
  const face = (y: number, h: number, own: string, other: string, through: 0 | 1 | 2 | 3 | null) => {
    const { along, length } = lineAndCurve(20, y + h / 2, w - 44, h * 0.4);
    if (through === null) {
      const points = Array.from({ length: 60 }, (_, i) => {
        const at = along((length * i) / 59);
        return [at.x, at.y] as const;
      });
      return <path d={polyline(points)} fill="none" stroke={own} strokeWidth={2.6} strokeDasharray="10 6" />;
    }
    return <Marks marks={stitchMarks({ along, length, stitch: 19.5, own, other, thread: 5.6, through })} />;
  };
  const backY = FACE.top + FACE.gap;
  return (
    <svg
      viewBox={`0 0 ${w} ${backY + FACE.back}`}
      className="block w-full"
      height={SHOWN}
      preserveAspectRatio="none"
      aria-hidden
    >
      <rect width={w} height={FACE.top} fill={p.cloth} />
      <rect y={backY} width={w} height={FACE.back} fill={p.backing} />
      {face(0, FACE.top, p.top, p.bobbin, p.faces?.top ?? null)}
      {face(backY, FACE.back, p.bobbin, p.top, p.faces?.back ?? null)}
      <path
        d={`M0 0V${FACE.top}M0 ${backY}v${FACE.back}`}
        stroke="#20262b"
        strokeOpacity={0.45}
        strokeDasharray="2 4"
      />
    </svg>
  );
}
