import { safety } from '@/core/cautions/cautions';
import type { Caution } from '@/core/notes';
import { fabrics } from '@/core/tables/fabrics';
import type { Machine } from '@/data/types';
import { CautionLine } from '@/ui/kit/CautionLine';

/** What to mind on a page of the talk, from what was said so far. */
export function TalkCautions(p: {
  step: number;
  use: string;
  features: readonly string[];
  battingKind: string | undefined;
  clothKinds: readonly string[];
  machine: Machine | undefined;
  size: readonly [number, number];
}) {
  const lines = cautionsOf(p);
  if (lines.length === 0) return null;
  return (
    <ul className="mt-4 space-y-1.5 border-t pt-2" aria-label="Watch for">
      {lines.map((c) => (
        <li key={c.code + c.text}>
          <CautionLine caution={c} />
        </li>
      ))}
    </ul>
  );
}

function cautionsOf({
  step,
  use,
  features,
  battingKind,
  clothKinds,
  machine,
  size,
}: Parameters<typeof TalkCautions>[0]): Caution[] {
  const out: Caution[] = [];
  if (step === 3) {
    if (use === 'baby' && features.includes('beads')) out.push(safety('small-parts-child', 'stop'));
    if (features.includes('bulky-seams')) out.push(safety('needle-break-eyes'));
    if (clothKinds.includes('unknown'))
      out.push({
        code: 'unknown-cloth',
        severity: 'note',
        text: 'Unknown fabric is matched cautiously, and tested on its own scrap first.',
      });
    for (const kind of new Set(clothKinds)) {
      const f = fabrics.find(kind);
      if (f?.advice) out.push({ code: kind, severity: 'note', text: `${f.label}: ${f.advice}` });
    }
    out.push({
      ...safety('heat-marking', 'note'),
      text: 'Marked already? Heat-erasable marks may come back in the cold; test on a scrap.',
    });
  }
  if (step === 4) {
    if (battingKind === 'unknown')
      out.push({
        code: 'unknown-batting',
        severity: 'warn',
        text: 'An unmarked batting counts as the strictest: no gap wider than 2 in until its label is found.',
      });
    out.push(safety('fumes-fibres', 'note'));
  }
  if (step === 5 && machine) {
    const [w, l] = size;
    if (Number.isFinite(w) && Number.isFinite(l) && Math.min(w, l) > machine.frameIn)
      out.push({
        code: 'frame-too-narrow',
        severity: 'stop',
        text: `This top is wider than the frame of ${machine.name} either way, ${machine.frameIn} in.`,
      });
    out.push(safety('pinch', 'note'));
  }
  return out;
}
