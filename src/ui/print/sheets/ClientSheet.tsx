import { clientSheet } from '@/actions/client-sheet';
import type { SheetFacts } from './sheet-facts';

/** What the client takes home. */
export function ClientSheet({ view, hand, preferences }: SheetFacts) {
  const sheet = clientSheet(view, hand, preferences);
  return sheet.parts.map((p) => (
    <section key={p.heading} className="mb-3 break-inside-avoid">
      <h2 className="text-20">{p.heading}</h2>
      <ul className="mt-1 space-y-1">
        {p.lines.map((l) => (
          <li key={l}>{l}</li>
        ))}
      </ul>
    </section>
  ));
}
