import { GLOSSARY } from '@/core/tables/glossary';

export const metadata = { title: 'Words of the trade' };

export default function GlossaryPage() {
  return (
    <div className="mx-auto max-w-[1100px] px-6 pt-4 pb-10 max-sm:px-4">
      <h1 className="text-24">Words of the trade</h1>
      <p className="text-ink2">What is said here, and what it means. Prints on two sheets.</p>
      <dl className="mt-3 gap-x-10 border-t-2 border-ink sm:columns-2 print:columns-2 print:text-13">
        {GLOSSARY.map((g) => (
          <div key={g.term} className="break-inside-avoid border-b py-1.5">
            <dt className="font-semibold">
              {g.term}
              {g.also.length > 0 && <span className="font-normal text-ink2"> · {g.also.join(', ')}</span>}
            </dt>
            <dd>{g.means}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
