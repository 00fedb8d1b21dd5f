'use client';
import { useCallback, useEffect, useState } from 'react';
import type { XY } from '@/core/geometry/polygon';
import { stitchesBetween } from '@/core/photo/corrected';
import { readInWorker } from '@/ui/colours/photo-reader';
import { numberOf } from '@/ui/kit/number-of';
import { unanswered } from '@/ui/kit/use-action-form';
import type { Picture } from './MarkedPhoto';
import { added, mmPerPx, SCALES, type ScaleId } from './marks';
import type { Found } from './Measured';
import { useMeasure } from './use-measure';

export type Tool = 'scale' | 'line' | 'holes';

/** The picture that is open, read small enough beside the page; `onOpen` once another lies there. */
function usePicture(photographId: string | null, onOpen: () => void) {
  const [picture, setPicture] = useState<Picture | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const open = useCallback(
    async (file: Blob) => {
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
      onOpen();
    },
    [onOpen],
  );
  useEffect(() => {
    if (photographId)
      void fetch(`/photographs/${photographId}`)
        .then((r) => r.blob())
        .then(open);
  }, [photographId, open]);
  return { picture, problem, setProblem, busy, setBusy, open };
}

/** What is marked on it: the ends of the scale, the line along the stitches, the holes. */
function useMarks() {
  const [tool, setTool] = useState<Tool>('scale');
  const [marks, setMarks] = useState<readonly XY[]>([]);
  const [path, setPath] = useState<readonly XY[]>([]);
  const [answer, setAnswer] = useState<Found | null>(null);
  const [holes, setHoles] = useState<readonly XY[]>([]);
  const clear = useCallback(() => {
    setMarks([]);
    setPath([]);
    setAnswer(null);
    setHoles([]);
    setTool('scale');
  }, []);
  const press = (spot: XY) => {
    if (tool === 'scale') {
      setMarks(marks.length >= 2 ? [spot] : [...marks, spot]);
      if (marks.length === 1) setTool('line');
    } else if (tool === 'line') {
      setPath([...path, spot]);
      setAnswer(null);
    } else if (holes.length >= 2) setHoles(added(holes, spot));
  };
  const found = (value: Found) => {
    setAnswer(value);
    setHoles(value.spots);
    setTool('holes');
  };
  return { tool, setTool, marks, path, setPath, answer, holes, setHoles, clear, press, found };
}

/** A photograph of stitches as it is measured: its picture, scale, line and holes, and what was counted. */
export function useStitchPhoto(
  photographId: string | null,
  threads: { top: string | null; bobbin: string | null },
) {
  const [scale, setScale] = useState<ScaleId>('inch');
  const [coin, setCoin] = useState('');
  const [face, setFace] = useState('top');
  const marked = useMarks();
  const shown = usePicture(photographId, marked.clear);
  const measure = useMeasure();
  const { answer, holes } = marked;
  const length = scale === 'coin' ? numberOf(coin) : SCALES.find((s) => s.id === scale)!.mm;
  const perPx = mmPerPx(marked.marks, typeof length === 'number' ? length : null);
  const count = async () => {
    if (!shown.picture || !perPx) return;
    shown.setBusy(true);
    const [own, other] = face === 'top' ? [threads.top, threads.bobbin] : [threads.bobbin, threads.top];
    const r = await measure({ picture: shown.picture.blob, mmPerPx: perPx, path: marked.path, own, other });
    shown.setBusy(false);
    shown.setProblem(r.ok ? null : r.message);
    if (r.ok) marked.found(r.value);
  };
  const corrected = answer !== null && holes !== answer.spots;
  const told = !answer
    ? null
    : corrected && perPx
      ? stitchesBetween(holes, perPx)
      : answer.trust === 'cannot'
        ? null
        : answer;
  return {
    ...shown,
    ...marked,
    scale,
    setScale,
    coin,
    setCoin,
    face,
    setFace,
    perPx,
    count,
    corrected,
    told,
  };
}
export type StitchPhoto = ReturnType<typeof useStitchPhoto>;
