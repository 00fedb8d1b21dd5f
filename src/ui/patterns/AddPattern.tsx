'use client';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import { PATTERN } from '@/core/fields/pattern';
import { usualValues } from '@/core/fields/stored';
import type { PatternRequest } from '@/core/pattern/pattern';
import { fileText } from './read-drawing';
import { inchesOf } from '@/ui/kit/field-spec';
import { formFields } from '@/ui/kit/form-fields';
import { Modal } from '@/ui/kit/Modal';
import { RecordDialog } from '@/ui/kit/RecordDialog';
import { UnitDrawing } from './UnitDrawing';
import { usePattern } from './use-pattern';

const FORM = formFields(PATTERN);
type Drawing = {
  file: string;
  given: { name: string; words: string; widthIn: number };
  source: Pick<PatternRequest, 'svg' | 'dxf'>;
};

/** A drawing chosen or dropped, measured as its width is typed, and kept. */
export function AddPattern({ onClose }: { onClose: () => void }) {
  const [drawing, setDrawing] = useState<Drawing | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const take = async (file: File | undefined) => {
    if (!file) return;
    const read = await fileText(file);
    if (!read.ok) return setProblem(read.message);
    setProblem(null);
    setDrawing({
      file: file.name,
      given: read.given ?? { name: file.name.replace(/\.[^.]+$/u, ''), words: '', widthIn: 8 },
      source: read.source,
    });
  };
  if (drawing)
    return (
      <RecordDialog
        title="Keep this drawing"
        about={drawing.file}
        onClose={onClose}
        specs={FORM}
        initial={{ ...usualValues(PATTERN), ...drawing.given }}
        fixed={{ version: 0, ...drawing.source }}
        act={doors.keepPattern}
        onDone={onClose}
        submit="Keep this pattern"
        aside={(v) => <Told source={drawing.source} width={String(v.widthIn ?? '')} />}
      />
    );
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onClose()}
      title="Add a drawing"
      about="One repeat as lines: an SVG or a DXF file, or a pattern another studio gave you."
    >
      <label
        className="mt-3 flex min-h-[160px] cursor-pointer flex-col items-center justify-center gap-2 border-2 border-dashed border-rule bg-sunk p-4 text-center"
        onDragOver={(e) => e.preventDefault()}
        onDrop={(e) => {
          e.preventDefault();
          void take(e.dataTransfer.files[0]);
        }}
      >
        <span className="font-medium">Drop the file here, or choose it</span>
        <input
          type="file"
          accept=".svg,.dxf,.json,image/svg+xml"
          aria-label="Drawing"
          onChange={(e) => void take(e.target.files?.[0])}
        />
      </label>
      {problem && (
        <p role="alert" className="mt-2 font-medium text-madder">
          {problem}
        </p>
      )}
    </Modal>
  );
}

/** What the drawing comes to at the width typed. */
function Told({ source, width }: { source: Drawing['source']; width: string }) {
  const widthIn = inchesOf(width);
  const sound = typeof widthIn === 'number' && widthIn >= 0.25 && widthIn <= 200;
  const { answer, problem } = usePattern({ ...source, ...(sound ? { widthIn } : { widthIn: 8 }) });
  if (problem) return <p className="mt-2 font-medium text-madder">{problem}</p>;
  if (!answer) return <p className="mt-2 text-ink2">measuring …</p>;
  if (!answer.ok) return <p className="mt-2 font-medium text-madder">{answer.message}</p>;
  const { measured: m, lines } = answer;
  const unit = {
    runs: lines.runs.map((r) => r.map(([x, y]) => [x / lines.widthIn, y / lines.widthIn] as const)),
    heightShare: lines.heightIn / lines.widthIn,
    goesOn: lines.goesOn,
  };
  return (
    <div className="mt-3" aria-live="polite">
      <UnitDrawing unit={unit} width={260} title="One repeat" />
      <p className="mt-2">
        {m.widthIn.toFixed(1)} × {m.heightIn.toFixed(1)} in, {Math.round(m.lengthIn)} in of line,{' '}
        {lines.goesOn
          ? 'a row goes on without lifting'
          : `${m.starts} ${m.starts === 1 ? 'start' : 'starts'} a repeat`}
        . {m.minRadiusIn === null ? 'Nothing curves.' : `Curves from ${m.minRadiusIn.toFixed(2)} in.`}{' '}
        {m.points} {m.points === 1 ? 'point' : 'points'}; it leaves {m.largestGapIn.toFixed(1)} in open;{' '}
        {m.sewnTwicePct.toFixed(0)} % sewn twice. About {m.spi} stitches per inch.
      </p>
    </div>
  );
}
