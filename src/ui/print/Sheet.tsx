import type { ReactNode } from 'react';
import { ButtonLink } from '@/ui/kit/Button';
import { PrintButton } from './PrintButton';

/** A sheet to print: black on white, nothing else on the paper. */
export function Sheet({ title, back, children }: { title: string; back: string; children: ReactNode }) {
  return (
    <div className="mx-auto max-w-[820px] bg-[#fff] px-8 py-6 text-[#000] print:max-w-none print:p-0">
      <style>{'@media print { @page { margin: 12mm } }'}</style>
      <div className="mb-4 flex gap-3 print:hidden">
        <PrintButton />
        <ButtonLink href={back} look="quiet">
          Back
        </ButtonLink>
      </div>
      <h1 className="border-b-2 border-[#000] pb-1 text-24">{title}</h1>
      <div className="mt-3">{children}</div>
    </div>
  );
}
