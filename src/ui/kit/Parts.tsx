import { Link } from './Link';

/** The parts of a page that is too long for one look: links, so that each part has an address of its own. */
export function Parts({
  label,
  parts,
  now,
  hrefOf,
}: {
  label: string;
  parts: readonly { id: string; label: string }[];
  now: string;
  hrefOf: (id: string) => string;
}) {
  return (
    <nav aria-label={label} className="mt-4 flex flex-wrap gap-x-1 border-b-2 border-ink">
      {parts.map((p) => (
        <Link
          key={p.id}
          href={hrefOf(p.id)}
          scroll={false}
          aria-current={p.id === now ? 'page' : undefined}
          className={`flex min-h-11 items-center px-3.5 font-semibold ${
            p.id === now ? 'bg-ink text-cloth' : 'text-indigo hover:underline'
          }`}
        >
          {p.label}
        </Link>
      ))}
    </nav>
  );
}
