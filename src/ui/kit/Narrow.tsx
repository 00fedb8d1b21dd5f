import { Link } from './Link';

const CONTROL = 'min-h-11 rounded border border-rule bg-cloth px-3 text-16';

/** A list narrowed by the address: words, choices beside them, and the way back to all. */
export function Narrow({
  label,
  words,
  find,
  findWidth,
  all,
  children,
}: {
  label: string;
  /** What the words are looked for in. */
  find: string;
  findWidth: string;
  words: string;
  /** Where all is shown; null when nothing is narrowed. */
  all: string | null;
  children: React.ReactNode;
}) {
  return (
    <form role="search" aria-label={label} className="mt-3 flex flex-wrap items-center gap-2.5 border-y py-2">
      <input
        name="q"
        defaultValue={words}
        aria-label={find}
        placeholder={find}
        className={`${CONTROL} ${findWidth}`}
      />
      {children}
      <button
        type="submit"
        className="min-h-11 rounded border-[1.5px] border-indigo px-4 font-semibold text-indigo"
      >
        Narrow
      </button>
      {all !== null && (
        <Link className="min-h-11 content-center text-indigo hover:underline" href={all}>
          Show all
        </Link>
      )}
    </form>
  );
}

/** One choice to narrow by. */
export function NarrowBy({
  name,
  label,
  value,
  any,
  options,
  width = '',
}: {
  name: string;
  label: string;
  value: string;
  /** The choice that narrows nothing, where there is one. */
  any?: string;
  options: readonly (readonly [id: string, words: string])[];
  width?: string;
}) {
  return (
    <select name={name} aria-label={label} defaultValue={value} className={`${CONTROL} ${width}`}>
      {any !== undefined && <option value="">{any}</option>}
      {options.map(([id, words]) => (
        <option key={id} value={id}>
          {words}
        </option>
      ))}
    </select>
  );
}
