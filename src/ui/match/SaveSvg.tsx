'use client';
import { Download } from 'lucide-react';

/** Takes the drawing it stands beside out as an SVG file, its colours as they are seen now. */
export function SaveSvg({ of, name }: { of: string; name: string }) {
  const save = () => {
    const svg = document.querySelector<SVGSVGElement>(`[data-drawing="${of}"]`);
    if (!svg) return;
    const style = getComputedStyle(document.documentElement);
    const copy = svg.cloneNode(true) as SVGSVGElement;
    copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
    const text = new XMLSerializer()
      .serializeToString(copy)
      .replace(/var\((--[\w-]+)\)/g, (_, v: string) => style.getPropertyValue(v).trim() || '#000');
    const url = URL.createObjectURL(new Blob([text], { type: 'image/svg+xml' }));
    const a = document.createElement('a');
    a.href = url;
    a.download = `${name.replace(/[^\w-]+/g, '-').toLowerCase()}.svg`;
    a.click();
    URL.revokeObjectURL(url);
  };
  return (
    <button
      type="button"
      onClick={save}
      aria-label={`Save ${name} as SVG`}
      title="Save as SVG"
      className="grid size-11 place-items-center rounded text-ink2 hover:bg-sunk"
    >
      <Download size={18} aria-hidden />
    </button>
  );
}
