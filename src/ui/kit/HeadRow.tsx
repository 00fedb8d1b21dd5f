import { Explained } from './Explained';

/** The head of a table, words of the trade explained; by default its last column holds what can be done with a row. */
export function HeadRow({ names, act = true }: { names: readonly string[]; act?: boolean }) {
  return (
    <thead>
      <tr className="text-left text-13 text-ink2">
        {names.map((name) => (
          <th key={name} className="py-1 pr-3 font-medium">
            <Explained word={name} />
          </th>
        ))}
        {act && (
          <th className="py-1 pr-3 font-medium">
            <span className="sr-only">Act</span>
          </th>
        )}
      </tr>
    </thead>
  );
}
