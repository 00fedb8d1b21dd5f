'use client';
import { ImagePlus } from 'lucide-react';
import { useState } from 'react';
import { sendPhotograph } from '@/ui/kit/send-photograph';
import type { PhotographMoment } from '@/core/fields/lists';

/** Takes or chooses a photograph, makes it smaller here, and keeps it with a quilt. */
export function AddPhotograph({
  ofId,
  moment = 'test',
  label,
  onKept,
}: {
  ofId: string;
  /** When in the life of a quilt it is taken. */
  moment?: PhotographMoment;
  label: string;
  onKept: (id: string) => void;
}) {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const add = async (file: File) => {
    setBusy(true);
    setProblem(null);
    const r = await sendPhotograph(ofId, file, moment);
    if (r.ok) onKept(r.value.id);
    else setProblem(r.problems[0]!.message);
    setBusy(false);
  };
  return (
    <div>
      <label className="inline-flex min-h-11 cursor-pointer items-center gap-2 rounded border-[1.5px] border-indigo px-4 font-semibold text-indigo has-focus-visible:outline-3 has-focus-visible:outline-solid has-focus-visible:outline-indigo">
        <ImagePlus size={18} aria-hidden />
        {busy ? 'Keeping …' : label}
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          aria-label={label}
          onChange={(e) => {
            const file = e.target.files?.[0];
            e.target.value = '';
            if (file) void add(file);
          }}
        />
      </label>
      {problem && (
        <p role="alert" className="mt-1 font-medium text-madder">
          {problem}
        </p>
      )}
    </div>
  );
}
