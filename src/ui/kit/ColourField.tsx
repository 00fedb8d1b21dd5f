'use client';
import { ImageUp } from 'lucide-react';
import { useState } from 'react';
import { Field } from './Field';
import { PhotoColour } from './PhotoColour';

/** A colour as #rrggbb: typed, from the palette of the computer, or picked from a photograph. */
export function ColourField({
  id,
  label,
  hint,
  error,
  value,
  onChange,
}: {
  id: string;
  label: string;
  hint?: string;
  error?: string;
  value: string;
  onChange: (hex: string) => void;
}) {
  const [photo, setPhoto] = useState(false);
  const sound = /^#[0-9a-f]{6}$/i.test(value);
  return (
    <Field id={id} label={label} hint={hint} error={error}>
      <div className="flex gap-2">
        <input
          type="color"
          aria-label={`${label}, palette`}
          value={sound ? value : '#888888'}
          onChange={(e) => onChange(e.target.value)}
          className="size-11 shrink-0 rounded border border-rule bg-cloth p-1"
        />
        <input
          id={id}
          value={value}
          onChange={(e) => onChange(e.target.value)}
          placeholder="#6e3b63"
          aria-invalid={error ? true : undefined}
          className="min-h-11 w-full min-w-0 rounded border border-rule bg-cloth px-3 text-16 aria-invalid:border-2 aria-invalid:border-madder"
        />
        <button
          type="button"
          aria-label={`${label}, from a photograph`}
          aria-expanded={photo}
          onClick={() => setPhoto(!photo)}
          className="grid size-11 shrink-0 place-items-center rounded border border-rule bg-cloth"
        >
          <ImageUp size={20} aria-hidden />
        </button>
      </div>
      {photo && <PhotoColour onPick={onChange} />}
    </Field>
  );
}
