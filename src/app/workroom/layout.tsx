import { PartLink } from '@/ui/workroom/PartLink';
import { PARTS } from '@/ui/workroom/parts';

export default function WorkroomLayout({ children }: { children: React.ReactNode }) {
  return (
    <div className="px-6 pt-4 pb-10">
      <h1 className="text-24">Workroom</h1>
      <nav
        aria-label="Parts of the Workroom"
        className="mt-2 flex flex-wrap gap-x-1 border-b max-sm:flex-nowrap max-sm:overflow-x-auto"
      >
        {PARTS.map(({ part, label }) => (
          <PartLink key={part} href={`/workroom/${part}`} label={label} />
        ))}
      </nav>
      {children}
    </div>
  );
}
