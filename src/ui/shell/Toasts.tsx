'use client';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';

const Toaster = dynamic(() => patiently(() => import('sonner')).then((m) => m.Toaster), { ssr: false });

/** Where toasts stand; drawn only in the browser, after the page itself. */
export const Toasts = () => (
  <Toaster
    position="bottom-right"
    toastOptions={{
      style: {
        background: 'var(--ink)',
        color: 'var(--cloth)',
        border: 0,
        borderRadius: 2,
        fontSize: 15,
        fontFamily: 'var(--font-sans)',
      },
    }}
  />
);
