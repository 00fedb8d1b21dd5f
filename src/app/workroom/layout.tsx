import { PartLink } from '@/ui/workroom/PartLink';

const PARTS = [
  ['machine', 'Machines'],
  ['care', 'Care'],
  ['needles', 'Needles'],
  ['bobbins', 'Bobbins'],
  ['cloth', 'Fabric and batting'],
  ['yarn', 'Yarn'],
  ['rulers', 'Rulers'],
  ['patterns', 'Patterns'],
  ['preferences', 'How we work'],
  ['rates', 'Rates'],
  ['learned', 'Learned'],
  ['hand', 'Your hand'],
  ['people', 'People and devices'],
  ['files', 'Files in and out'],
] as const;

export default function WorkroomLayout({ children }: { children: React.ReactNode }) {
  return (
    <div className="px-6 pt-4 pb-10">
      <h1 className="text-24">Workroom</h1>
      <nav aria-label="Parts of the Workroom" className="mt-2 flex flex-wrap gap-x-1 border-b">
        {PARTS.map(([part, label]) => (
          <PartLink key={part} href={`/workroom/${part}`} label={label} />
        ))}
      </nav>
      {children}
    </div>
  );
}
