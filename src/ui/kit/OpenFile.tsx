'use client';
import { useState } from 'react';

const LARGEST = 4_000_000;

/** Opens a file somebody gave: its text goes to `read`, which answers in words what is wrong with it, or null. */
export function OpenFile({ label, read }: { label: string; read: (text: string) => string | null }) {
  const [problem, setProblem] = useState<string | null>(null);
  const open = async (file: File | undefined) => {
    if (!file) return;
    const wrong = file.size > LARGEST ? 'it is larger than any such file can be.' : read(await file.text());
    setProblem(wrong && `${file.name}: ${wrong}`);
  };
  return (
    <div>
      <label className="inline-flex min-h-11 cursor-pointer items-center rounded border border-rule bg-cloth px-4 font-medium focus-within:outline-2 focus-within:outline-indigo hover:bg-sunk">
        {label}
        <input
          type="file"
          accept=".json,application/json"
          className="sr-only"
          onChange={(e) => {
            void open(e.target.files?.[0]);
            e.target.value = '';
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
