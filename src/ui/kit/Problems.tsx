import type { Problem } from '@/actions/result';

/** Problems that belong to no single field. */
export function Problems({
  problems,
  fields = [],
}: {
  problems: readonly Problem[];
  fields?: readonly string[];
}) {
  const rest = problems.filter((p) => !fields.some((f) => p.path === f || p.path.startsWith(`${f}.`)));
  if (rest.length === 0) return null;
  return (
    <div role="alert" className="border-l-4 border-madder bg-madder-tint px-3 py-2 font-medium">
      {rest.map((p) => (
        <p key={p.path + p.message}>{p.message}</p>
      ))}
    </div>
  );
}
