'use client';
import { useState } from 'react';
import { sendRecording } from './send-recording';

/** Takes in what a machine recorded while nobody listened. */
export function Recording({ quiltId }: { quiltId: string }) {
  const [told, setTold] = useState<string | null>(null);
  return (
    <div>
      <label className="inline-flex min-h-[88px] cursor-pointer items-center rounded border-[1.5px] border-rule px-4 font-semibold has-focus-visible:outline-3 has-focus-visible:outline-solid has-focus-visible:outline-indigo">
        Take in a recording
        <input
          type="file"
          accept=".ndjson,application/x-ndjson"
          className="sr-only"
          aria-label="Take in a recording"
          onChange={(e) => {
            const file = e.target.files?.[0];
            e.target.value = '';
            if (!file) return;
            setTold('Taking it in …');
            void file
              .text()
              .then((text) => sendRecording(quiltId, text))
              .then(setTold);
          }}
        />
      </label>
      {told && (
        <p role="status" className="mt-1 max-w-[360px] text-20">
          {told}
        </p>
      )}
    </div>
  );
}
