'use client';
import { Button } from '@/ui/kit/Button';
import { TextField } from '@/ui/kit/Field';
import { Taps } from '@/ui/kit/Taps';
import { SCALES, type ScaleId } from './marks';
import type { StitchPhoto, Tool } from './use-stitch-photo';

const TOOLS = [
  { value: 'scale', label: '1 Scale' },
  { value: 'line', label: '2 Line' },
  { value: 'holes', label: '3 Check the holes' },
];

/** What is to be done next, in words. */
function nextWords({ tool, marks, perPx, path, answer }: StitchPhoto): string {
  if (tool === 'scale') {
    if (marks.length === 0) return 'Press the first end of the scale.';
    if (marks.length === 1) return 'Press its other end.';
    return perPx
      ? `${(1 / perPx).toFixed(0)} pixels to the millimetre. Press again to mark it anew.`
      : 'The marks are too near, or the length is not known yet.';
  }
  if (tool === 'line') {
    if (!perPx) return 'Mark the scale first.';
    return path.length === 0
      ? 'Press the first hole, then along the stitches, and last the last hole.'
      : 'Go on along the stitches to the last hole; a few presses are enough.';
  }
  return answer
    ? 'Drag a mark that sits beside its hole, press where one is missing, press a mark twice to take it out.'
    : 'Draw the line and count first.';
}

/** The three tools, what the one in hand asks for, and what is to be done next. */
export function StitchTools(photo: StitchPhoto) {
  const { tool, setTool } = photo;
  return (
    <>
      <div className="mt-2 flex flex-wrap items-end gap-x-5 gap-y-2 border-t-2 border-ink pt-2">
        <Taps label="Now" options={TOOLS} value={tool} onChange={(t) => setTool(t as Tool)} />
        {tool === 'scale' && <ScaleFields {...photo} />}
        {tool === 'line' && <LineFields {...photo} />}
      </div>
      <p className="mt-1 text-ink2" aria-live="polite">
        {nextWords(photo)}
      </p>
    </>
  );
}

function ScaleFields({ scale, setScale, coin, setCoin }: StitchPhoto) {
  return (
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
  );
}

function LineFields({ face, setFace, path, setPath, perPx, busy, count }: StitchPhoto) {
  return (
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
  );
}
