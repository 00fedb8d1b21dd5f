'use client';
import { useRef, useState } from 'react';
import { averageHex } from '@/core/colour/average';

const WIDEST = 440;
const MOST_BYTES = 40_000_000;
/** Half the side of the square that is averaged, px. */
const REACH = 3;

/** A photograph to press: the average colour of a small square there is taken. It never leaves this computer. */
export function PhotoColour({ onPick }: { onPick: (hex: string) => void }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [shown, setShown] = useState(false);

  const load = async (file: File | undefined) => {
    setProblem(null);
    if (!file || !canvas.current) return;
    if (file.size > MOST_BYTES)
      return setProblem('This file is too large for a photograph. Pick a smaller one.');
    try {
      const image = await createImageBitmap(file, { imageOrientation: 'from-image' });
      const scale = Math.min(1, WIDEST / image.width);
      canvas.current.width = Math.max(1, Math.round(image.width * scale));
      canvas.current.height = Math.max(1, Math.round(image.height * scale));
      canvas.current
        .getContext('2d', { willReadFrequently: true })!
        .drawImage(image, 0, 0, canvas.current.width, canvas.current.height);
      image.close();
      setShown(true);
    } catch {
      setProblem('This file cannot be read as a photograph.');
    }
  };
  const pick = (e: React.MouseEvent<HTMLCanvasElement>) => {
    const c = canvas.current!;
    const box = c.getBoundingClientRect();
    const x = Math.floor(((e.clientX - box.left) / box.width) * c.width);
    const y = Math.floor(((e.clientY - box.top) / box.height) * c.height);
    const [x0, y0] = [Math.max(0, x - REACH), Math.max(0, y - REACH)];
    const side = REACH * 2 + 1;
    const { data } = c
      .getContext('2d')!
      .getImageData(x0, y0, Math.min(side, c.width - x0), Math.min(side, c.height - y0));
    onPick(averageHex(data));
  };
  return (
    <div className="mt-2">
      <input
        type="file"
        accept="image/*"
        aria-label="Photograph to pick a colour from"
        onChange={(e) => void load(e.target.files?.[0])}
        className="text-13"
      />
      {problem && (
        <p role="alert" className="mt-1 font-medium text-madder">
          {problem}
        </p>
      )}
      <canvas
        ref={canvas}
        onClick={pick}
        aria-label="Press the colour in the photograph"
        className={`mt-2 max-w-full cursor-crosshair ${shown ? '' : 'hidden'}`}
      />
    </div>
  );
}
