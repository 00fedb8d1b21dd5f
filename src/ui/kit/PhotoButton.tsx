import { ImageUp } from 'lucide-react';
import type { ReactNode } from 'react';

/** Takes or chooses a photograph; the same one may be chosen again. */
export function PhotoButton({
  name,
  capture,
  accept = 'image/*',
  onFile,
  children,
}: {
  /** What it is for, for those who do not see it. */
  name: string;
  /** Opens the camera at once where there is one. */
  capture?: 'environment';
  accept?: string;
  onFile: (file: File) => void;
  children: ReactNode;
}) {
  return (
    <label className="inline-flex min-h-11 cursor-pointer items-center gap-2 rounded border-[1.5px] border-indigo px-4 font-semibold text-indigo has-focus-visible:outline-3 has-focus-visible:outline-solid has-focus-visible:outline-indigo">
      <ImageUp size={18} aria-hidden />
      {children}
      <input
        type="file"
        accept={accept}
        capture={capture}
        className="sr-only"
        aria-label={name}
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = '';
          if (file) onFile(file);
        }}
      />
    </label>
  );
}
