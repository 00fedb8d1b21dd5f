'use client';
import { Plus, X } from 'lucide-react';

const MOST = 12;

/** Colours in their order along a thread: each from the palette, one more, or one less. */
export function HexList({
  id,
  label,
  error,
  list,
  onChange,
}: {
  id: string;
  label: string;
  error?: string;
  list: readonly string[];
  onChange: (list: string[]) => void;
}) {
  return (
    <fieldset id={id}>
      <legend className="mb-1 text-13 font-medium text-ink2">{label}</legend>
      <div className="flex flex-wrap gap-2">
        {list.map((hex, i) => (
          <span key={i} className="flex items-center rounded border border-rule">
            <input
              type="color"
              aria-label={`Colour ${i + 1} along it`}
              value={hex}
              onChange={(e) => onChange(list.map((h, k) => (k === i ? e.target.value : h)))}
              className="size-11 rounded bg-cloth p-1"
            />
            <button
              type="button"
              aria-label={`Take colour ${i + 1} out`}
              className="grid h-11 w-8 place-items-center"
              onClick={() => onChange(list.filter((_, k) => k !== i))}
            >
              <X size={16} aria-hidden />
            </button>
          </span>
        ))}
        {list.length < MOST && (
          <button
            type="button"
            className="inline-flex min-h-11 items-center gap-1.5 rounded border border-rule px-3 text-indigo"
            onClick={() => onChange([...list, list.at(-1) ?? '#8a9a7b'])}
          >
            <Plus size={18} aria-hidden /> {list.length === 0 ? 'Variegated' : 'Another'}
          </button>
        )}
      </div>
      {error && (
        <p role="alert" className="mt-1 font-medium text-madder">
          {error}
        </p>
      )}
    </fieldset>
  );
}
