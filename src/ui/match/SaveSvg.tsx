'use client';
import { Download } from 'lucide-react';
import { saveFile, svgText } from '@/ui/draw/save-drawing';

/** Takes the drawing it stands beside out as an SVG file, its colours as they are seen now. */
export function SaveSvg({ of, name }: { of: string; name: string }) {
  const save = async () => {
    const text = await svgText(of);
    if (text) saveFile(new Blob([text], { type: 'image/svg+xml' }), name, 'svg');
  };
  return (
    <button
      type="button"
      onClick={() => void save()}
      aria-label={`Save ${name} as SVG`}
      title="Save as SVG"
      className="grid size-11 place-items-center rounded text-ink2 hover:bg-sunk"
    >
      <Download size={18} aria-hidden />
    </button>
  );
}
