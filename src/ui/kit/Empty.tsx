import type { ReactNode } from 'react';

/** An empty list that teaches in one sentence and offers the first act. */
export function Empty({ title, children, act }: { title: string; children: ReactNode; act?: ReactNode }) {
  return (
    <div className="mx-auto max-w-[440px] py-12 text-center">
      <svg width="72" height="40" viewBox="0 0 72 40" className="mx-auto" aria-hidden>
        <path
          d="M4 28C20 8 34 36 50 20"
          fill="none"
          stroke="var(--walnut)"
          strokeWidth="2.5"
          strokeDasharray="9 5"
        />
        <path d="M50 20L66 6" stroke="var(--ink)" strokeWidth="2.4" strokeLinecap="round" />
      </svg>
      <h2 className="mt-3 text-20">{title}</h2>
      <p className="mt-2 text-ink2">{children}</p>
      {act && <div className="mt-4">{act}</div>}
    </div>
  );
}
