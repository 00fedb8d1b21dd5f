'use client';
import { Lamp, Sun } from 'lucide-react';
import { useState } from 'react';

/** Daylight or Lamp; kept in a cookie, so that the next page comes in the right light at once. */
export function ThemeSwitch({ theme }: { theme: 'daylight' | 'lamp' }) {
  const [now, setNow] = useState(theme);
  const other = now === 'lamp' ? 'daylight' : 'lamp';
  return (
    <button
      type="button"
      className="flex min-h-11 items-center gap-2 rounded px-3 text-ink2 hover:bg-sunk"
      onClick={() => {
        document.documentElement.dataset.theme = other;
        document.cookie = `theme=${other}; path=/; max-age=31536000; samesite=lax`;
        setNow(other);
      }}
    >
      {now === 'lamp' ? <Sun size={18} aria-hidden /> : <Lamp size={18} aria-hidden />}
      <span className="max-2xl:sr-only">{now === 'lamp' ? 'Daylight' : 'Lamp light'}</span>
    </button>
  );
}
