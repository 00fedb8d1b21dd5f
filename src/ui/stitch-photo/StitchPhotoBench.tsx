'use client';
import { type Remote, wrap } from 'comlink';
import { ImageUp } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import { amendRoundAction } from '@/actions/server';
import { proven } from '@/core/source/known';
import { stitchesBetween } from '@/core/photo/corrected';
import { otherWords } from '@/core/photo/other-share';
import type { Spot } from '@/core/photo/strip';
import { MM_PER_INCH } from '@/core/units/length';
import type { TestRound } from '@/data/types';
import { readInWorker } from '@/ui/colours/photo-reader';
import { Button } from '@/ui/kit/Button';
import { TextField } from '@/ui/kit/Field';
import { numberOf } from '@/ui/kit/number-of';
import { Problems } from '@/ui/kit/Problems';
import { Sourced } from '@/ui/kit/Sourced';
import { Taps } from '@/ui/kit/Taps';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';
import type { MeasureAnswer, MeasureRequest } from '@/workers/measure-photo';
import { added, mmPerPx, moved, SCALES, type ScaleId } from './marks';

type Tool = 'scale' | 'line' | 'holes';
const TOOLS = [
  { value: 'scale', label: '1 Scale' },
  { value: 'line', label: '2 Line' },
  { value: 'holes', label: '3 Check the holes' },
];
const SAMPLES = [1, 2, 3, 4] as const;
const TRUST = {
  good: 'To be relied on.',
  look: 'Look at the marks before you rely on it.',
  cannot: 'No number can be taken from this.',
} as const;
const mm = (x: number) => `${x.toFixed(1)} mm`;

interface Picture {
  url: string;
  blob: Blob;
  width: number;
  height: number;
}

/** Stitches on a photograph: the scale marked, a line drawn along them, every hole to be checked and moved by hand. */
export function StitchPhotoBench({
  quiltId,
  zoneId,
  rounds,
  roundId,
  photographId,
  threads,
}: {
  quiltId: string;
  zoneId: string;
  rounds: readonly Pick<TestRound, 'id' | 'n'>[];
  /** The test it belongs to, when it came from one. */
  roundId: string | null;
  photographId: string | null;
  threads: { top: string | null; bobbin: string | null };
}) {
  const router = useRouter();
  const [picture, setPicture] = useState<Picture | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [tool, setTool] = useState<Tool>('scale');
  const [scale, setScale] = useState<ScaleId>('inch');
  const [coin, setCoin] = useState('');
  const [face, setFace] = useState('top');
  const [marks, setMarks] = useState<readonly Spot[]>([]);
  const [path, setPath] = useState<readonly Spot[]>([]);
  const [answer, setAnswer] = useState<Extract<MeasureAnswer, { ok: true }>['value'] | null>(null);
  const [holes, setHoles] = useState<readonly Spot[]>([]);
  const [round, setRound] = useState(roundId ?? rounds.at(-1)?.id ?? '');
  const [busy, setBusy] = useState(false);
  const measure = useMeasure();

  const open = useCallback(async (file: Blob) => {
    setProblem(null);
    setBusy(true);
    const r = await readInWorker(file).catch(() => null);
    setBusy(false);
    if (!r) return setProblem('This photograph could not be read. Try again.');
    if (!r.ok) return setProblem(r.message);
    const { blob, width, height } = r.value;
    setPicture((old) => {
      if (old) URL.revokeObjectURL(old.url);
      return { url: URL.createObjectURL(blob), blob, width, height };
    });
    setMarks([]);
    setPath([]);
    setAnswer(null);
    setHoles([]);
    setTool('scale');
  }, []);
  useEffect(() => {
    if (photographId)
      void fetch(`/photographs/${photographId}`)
        .then((r) => r.blob())
        .then(open);
  }, [photographId, open]);

  const length = scale === 'coin' ? numberOf(coin) : SCALES.find((s) => s.id === scale)!.mm;
  const perPx = mmPerPx(marks, typeof length === 'number' ? length : null);
  const count = async () => {
    if (!picture || !perPx) return;
    setBusy(true);
    const [own, other] = face === 'top' ? [threads.top, threads.bobbin] : [threads.bobbin, threads.top];
    const r = await measure({ picture: picture.blob, mmPerPx: perPx, path, own, other });
    setBusy(false);
    if (!r.ok) return setProblem(r.message);
    setProblem(null);
    setAnswer(r.value);
    setHoles(r.value.spots);
    setTool('holes');
  };
  const corrected = answer !== null && holes !== answer.spots;
  const told = !answer
    ? null
    : corrected && perPx
      ? stitchesBetween(holes, perPx)
      : answer.trust === 'cannot'
        ? null
        : answer;
  const { send, pending, problems } = useActionForm(amendRoundAction, () => {
    toast('Measured, and kept with the test.');
    router.push(`/quilts/${quiltId}/test?zone=${zoneId}`);
  });
  const press = (spot: Spot) => {
    if (tool === 'scale') {
      setMarks(marks.length >= 2 ? [spot] : [...marks, spot]);
      if (marks.length === 1) setTool('line');
    } else if (tool === 'line') {
      setPath([...path, spot]);
      setAnswer(null);
    } else if (holes.length >= 2) setHoles(added(holes, spot));
  };

  return (
    <>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 className="flex-1 text-24">Stitches on a photograph</h2>
        <label className="inline-flex min-h-11 cursor-pointer items-center gap-2 rounded border-[1.5px] border-indigo px-4 font-semibold text-indigo has-focus-visible:outline-3 has-focus-visible:outline-solid has-focus-visible:outline-indigo">
          <ImageUp size={18} aria-hidden />
          {busy ? 'Working …' : picture ? 'Another photograph' : 'Take or choose a photograph'}
          <input
            type="file"
            accept="image/*"
            capture="environment"
            className="sr-only"
            aria-label="Photograph of stitches"
            onChange={(e) => {
              const file = e.target.files?.[0];
              e.target.value = '';
              if (file) void open(file);
            }}
          />
        </label>
      </div>
      {problem && (
        <p role="alert" className="mt-2 font-medium text-madder">
          {problem}
        </p>
      )}
      {!picture ? (
        <div className="mt-3 border-t-2 border-ink pt-3">
          <p className="max-w-[640px]">
            Lay a ruler or a coin beside the line, hold the camera straight above it, and come near: the
            stitches should fill the picture. Nothing is sent away; it is measured in this window.
          </p>
          <h3 className="mt-4 text-[17px]">Or try one of these drawn samples, a centimetre marked on each</h3>
          <div className="mt-1.5 flex flex-wrap gap-3">
            {SAMPLES.map((n) => (
              <button
                key={n}
                type="button"
                className="border"
                aria-label={`Sample ${n}`}
                onClick={() =>
                  void fetch(`/samples/stitches-${n}.png`)
                    .then((r) => r.blob())
                    .then((b) => {
                      setScale('cm');
                      return open(b);
                    })
                }
              >
                {/* eslint-disable-next-line @next/next/no-img-element -- a drawn sample that ships with the app */}
                <img src={`/samples/stitches-${n}.png`} alt="" className="h-[74px] w-[260px] object-cover" />
              </button>
            ))}
          </div>
        </div>
      ) : (
        <>
          <div className="mt-2 flex flex-wrap items-end gap-x-5 gap-y-2 border-t-2 border-ink pt-2">
            <Taps label="Now" options={TOOLS} value={tool} onChange={(t) => setTool(t as Tool)} />
            {tool === 'scale' && (
              <>
                <label className="grid">
                  <span className="text-13 text-ink2">Between the two marks lies</span>
                  <select
                    className="min-h-11 rounded border border-rule bg-cloth px-2 text-16"
                    value={scale}
                    onChange={(e) => setScale(e.target.value as ScaleId)}
                  >
                    {SCALES.map((s) => (
                      <option key={s.id} value={s.id}>
                        {s.label}
                      </option>
                    ))}
                  </select>
                </label>
                {scale === 'coin' && (
                  <div className="w-36">
                    <TextField
                      id="coin"
                      label="The coin is"
                      hint="mm across"
                      inputMode="decimal"
                      value={coin}
                      onChange={(e) => setCoin(e.target.value)}
                    />
                  </div>
                )}
              </>
            )}
            {tool === 'line' && (
              <>
                <Taps
                  label="It shows"
                  value={face}
                  onChange={setFace}
                  options={[
                    { value: 'top', label: 'the top' },
                    { value: 'back', label: 'the back' },
                  ]}
                />
                <Button look="quiet" disabled={path.length === 0} onClick={() => setPath([])}>
                  Draw it again
                </Button>
                <Button look="act" disabled={path.length < 2 || !perPx || busy} onClick={() => void count()}>
                  Count the stitches
                </Button>
              </>
            )}
          </div>
          <p className="mt-1 text-ink2" aria-live="polite">
            {tool === 'scale'
              ? marks.length === 0
                ? 'Press the first end of the scale.'
                : marks.length === 1
                  ? 'Press its other end.'
                  : perPx
                    ? `${(1 / perPx).toFixed(0)} pixels to the millimetre. Press again to mark it anew.`
                    : 'The marks are too near, or the length is not known yet.'
              : tool === 'line'
                ? !perPx
                  ? 'Mark the scale first.'
                  : path.length === 0
                    ? 'Press the first hole, then along the stitches, and last the last hole.'
                    : 'Go on along the stitches to the last hole; a few presses are enough.'
                : answer
                  ? 'Drag a mark that sits beside its hole, press where one is missing, press a mark twice to take it out.'
                  : 'Draw the line and count first.'}
          </p>
          <Canvas
            picture={picture}
            marks={marks}
            path={path}
            holes={holes}
            onPress={press}
            onMove={(i, to) => setHoles(moved(holes, i, to))}
            onDrop={(i) => setHoles(holes.filter((_, k) => k !== i))}
          />
          {answer && (
            <section aria-label="What was measured" className="mt-3 border-t-2 border-ink pt-2">
              {told ? (
                <dl className="flex flex-wrap gap-x-8 gap-y-2">
                  {(
                    [
                      ['Stitches to the inch', told.spi.toFixed(1)],
                      ['Uneven by', `${told.cvPct.toFixed(0)} %`],
                      ['Longest', mm(told.longestMm)],
                      ['Shortest', mm(told.shortestMm)],
                      [
                        'Counted',
                        `${told.stitches} on ${((told.stitches * MM_PER_INCH) / told.spi / MM_PER_INCH).toFixed(1)} in`,
                      ],
                    ] as const
                  ).map(([k, v], i) => (
                    <div key={k}>
                      <dt className="text-13 text-ink2">{k}</dt>
                      <dd className={i === 0 ? 'text-32 leading-none font-bold' : 'text-20'}>
                        <Sourced of={proven(null, 'measured')}>{v}</Sourced>
                      </dd>
                    </div>
                  ))}
                </dl>
              ) : null}
              <p
                className={`mt-1 font-medium ${answer.trust === 'good' || corrected ? 'text-verdigris' : 'text-weld-text'}`}
              >
                {corrected ? 'Corrected by hand.' : TRUST[answer.trust]} {!corrected && answer.reason}
              </p>
              {answer.otherShare !== null && (
                <p>
                  At {Math.round(answer.otherShare * 100)} % of the holes: {otherWords(answer.otherShare)}.
                  Judge it with your own eyes.
                </p>
              )}
              {told && rounds.length > 0 && (
                <div className="mt-2 flex flex-wrap items-center gap-3">
                  <label className="flex items-center gap-2">
                    It is
                    <select
                      className="min-h-11 rounded border border-rule bg-cloth px-2 text-16"
                      value={round}
                      onChange={(e) => setRound(e.target.value)}
                    >
                      {rounds.map((r) => (
                        <option key={r.id} value={r.id}>
                          test {r.n}
                        </option>
                      ))}
                    </select>
                  </label>
                  <Button
                    look="act"
                    disabled={pending}
                    onClick={() =>
                      send({
                        roundId: round,
                        measured: {
                          spi: told.spi,
                          cvPct: told.cvPct,
                          longestMm: told.longestMm,
                          shortestMm: told.shortestMm,
                          stitches: told.stitches,
                          trust: corrected || answer.trust === 'good' ? 'good' : 'look',
                          corrected,
                          otherShare: answer.otherShare,
                        },
                      })
                    }
                  >
                    Keep it with the test
                  </Button>
                </div>
              )}
              {told && rounds.length === 0 && (
                <p className="mt-1 text-ink2">Judge a test stitch first; then this can be kept with it.</p>
              )}
              <Problems problems={problems} />
            </section>
          )}
        </>
      )}
    </>
  );
}

/** Asks the worker; it stays for the next line. */
function useMeasure() {
  const worker = useRef<Remote<(r: MeasureRequest) => MeasureAnswer> | null>(null);
  const raw = useRef<Worker | null>(null);
  useEffect(() => () => raw.current?.terminate(), []);
  return async ({
    picture,
    ...rest
  }: Omit<MeasureRequest, 'picture'> & { picture: Blob }): Promise<MeasureAnswer> => {
    if (!worker.current) {
      raw.current = new Worker(new URL('../../workers/stitch.worker.ts', import.meta.url), {
        type: 'module',
      });
      worker.current = wrap<(r: MeasureRequest) => MeasureAnswer>(raw.current) as never;
    }
    const ask = worker.current as unknown as (r: MeasureRequest) => Promise<MeasureAnswer>;
    return ask({ ...rest, picture: await createImageBitmap(picture) });
  };
}

/** The picture with its marks; pressed, and its hole marks dragged or moved with the arrow keys. */
function Canvas({
  picture,
  marks,
  path,
  holes,
  onPress,
  onMove,
  onDrop,
}: {
  picture: Picture;
  marks: readonly Spot[];
  path: readonly Spot[];
  holes: readonly Spot[];
  onPress: (spot: Spot) => void;
  onMove: (hole: number, to: Spot) => void;
  onDrop: (hole: number) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const dragged = useRef<number | null>(null);
  const at = (e: { clientX: number; clientY: number }): Spot => {
    const box = svg.current!.getBoundingClientRect();
    return [
      ((e.clientX - box.left) / box.width) * picture.width,
      ((e.clientY - box.top) / box.height) * picture.height,
    ];
  };
  const u = picture.width / 900;
  const line = (spots: readonly Spot[]) => spots.map((s) => s.join(',')).join(' ');
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${picture.width} ${picture.height}`}
      className="mt-2 block max-h-[420px] w-full cursor-crosshair touch-none border bg-sunk"
      role="group"
      aria-label="The photograph"
      onClick={(e) => {
        if (dragged.current === null) onPress(at(e));
        dragged.current = null;
      }}
      onPointerMove={(e) => {
        if (dragged.current !== null && e.buttons === 1) onMove(dragged.current, at(e));
      }}
    >
      <image href={picture.url} width={picture.width} height={picture.height} />
      <polyline points={line(marks)} fill="none" stroke="#2e4272" strokeWidth={3 * u} />
      {marks.map((m, i) => (
        <path
          key={i}
          d={`M${m[0]} ${m[1] - 14 * u}v${28 * u}`}
          stroke="#2e4272"
          strokeWidth={3 * u}
          style={{ paintOrder: 'stroke' }}
        />
      ))}
      <polyline points={line(path)} fill="none" stroke="#fffefb" strokeWidth={4 * u} strokeOpacity="0.8" />
      <polyline
        points={line(path)}
        fill="none"
        stroke="#a8382a"
        strokeWidth={1.6 * u}
        strokeDasharray={`${8 * u} ${5 * u}`}
      />
      {holes.map((h, i) => (
        <g
          key={i}
          tabIndex={0}
          role="slider"
          aria-label={`Hole ${i + 1} of ${holes.length}`}
          aria-valuenow={Math.round(h[0])}
          onPointerDown={(e) => {
            dragged.current = i;
            e.currentTarget.setPointerCapture(e.pointerId);
          }}
          onDoubleClick={() => onDrop(i)}
          onKeyDown={(e) => {
            const by: Record<string, Spot> = {
              ArrowLeft: [-1, 0],
              ArrowRight: [1, 0],
              ArrowUp: [0, -1],
              ArrowDown: [0, 1],
            };
            const step = by[e.key];
            if (step) onMove(i, [h[0] + step[0], h[1] + step[1]]);
            else if (e.key === 'Delete' || e.key === 'Backspace') onDrop(i);
            else return;
            e.preventDefault();
          }}
        >
          <circle cx={h[0]} cy={h[1]} r={11 * u} fill="transparent" />
          <path d={`M${h[0]} ${h[1] - 13 * u}v${26 * u}`} stroke="#fffefb" strokeWidth={4.5 * u} />
          <path d={`M${h[0]} ${h[1] - 13 * u}v${26 * u}`} stroke="#256659" strokeWidth={2 * u} />
        </g>
      ))}
    </svg>
  );
}
