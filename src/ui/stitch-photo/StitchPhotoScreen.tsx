'use client';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useState } from 'react';
import { stitchesBetween } from '@/core/photo/corrected';
import type { XY } from '@/core/geometry/polygon';
import type { TestRound } from '@/data/types';
import { unanswered } from '@/ui/kit/use-action-form';
import { readInWorker } from '@/ui/colours/photo-reader';
import { Button } from '@/ui/kit/Button';
import { TextField } from '@/ui/kit/Field';
import { numberOf } from '@/ui/kit/number-of';
import { PhotoButton } from '@/ui/kit/PhotoButton';
import { Taps } from '@/ui/kit/Taps';
import { MarkedPhoto, type Picture } from './MarkedPhoto';
import { type Found, Measured } from './Measured';
import { useMeasure } from './use-measure';
import { added, mmPerPx, moved, SCALES, type ScaleId } from './marks';

type Tool = 'scale' | 'line' | 'holes';
const TOOLS = [
  { value: 'scale', label: '1 Scale' },
  { value: 'line', label: '2 Line' },
  { value: 'holes', label: '3 Check the holes' },
];
const SAMPLES = [1, 2, 3, 4] as const;

/** Stitches on a photograph: the scale marked, a line drawn along them, every hole to be checked and moved by hand. */
export function StitchPhotoScreen({
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
  const [marks, setMarks] = useState<readonly XY[]>([]);
  const [path, setPath] = useState<readonly XY[]>([]);
  const [answer, setAnswer] = useState<Found | null>(null);
  const [holes, setHoles] = useState<readonly XY[]>([]);
  const [busy, setBusy] = useState(false);
  const measure = useMeasure();

  const open = useCallback(async (file: Blob) => {
    setProblem(null);
    setBusy(true);
    const r = await readInWorker(file).catch((error: unknown) => {
      reportError(error);
      return { ok: false as const, message: unanswered(error).message };
    });
    setBusy(false);
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
  const press = (spot: XY) => {
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
        <PhotoButton name="Photograph of stitches" capture="environment" onFile={(file) => void open(file)}>
          {busy ? 'Working …' : picture ? 'Another photograph' : 'Take or choose a photograph'}
        </PhotoButton>
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
          <MarkedPhoto
            picture={picture}
            marks={marks}
            path={path}
            holes={holes}
            onPress={press}
            onMove={(i, to) => setHoles(moved(holes, i, to))}
            onDrop={(i) => setHoles(holes.filter((_, k) => k !== i))}
          />
          {answer && (
            <Measured
              answer={answer}
              told={told}
              corrected={corrected}
              onOther={(reading) => setHoles(reading.spots)}
              rounds={rounds}
              roundId={roundId}
              onKept={() => router.push(`/quilts/${quiltId}/test?zone=${zoneId}`)}
            />
          )}
        </>
      )}
    </>
  );
}
