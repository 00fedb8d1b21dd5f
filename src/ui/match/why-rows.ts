import { CRITERIA } from '@/core/match/criteria';
import type { Setup } from '@/core/match/setup';
import type { Reason } from '@/core/notes';

/** One criterion of a set-up: what it costs and what it says. */
export interface WhyRow {
  label: string;
  points: number;
  notes: Reason[];
}

/** Points without a sentence are shown from here on. */
const SILENT = 0.4;

/** What a set-up costs by each criterion, dearest first, each with its sentences; the rest, which cost nothing, after. */
export function whyRows({
  parts,
  reasons,
  cautions,
}: Pick<Setup, 'parts' | 'reasons' | 'cautions'>): WhyRow[] {
  const notes: Reason[] = [...reasons, ...cautions];
  const rows = Object.keys(CRITERIA)
    .map((id) => ({
      label: CRITERIA[id]!.label,
      points: parts[id] ?? 0,
      notes: notes.filter((n) => n.from === id),
    }))
    .filter((r) => r.notes.length > 0 || r.points >= SILENT)
    .sort((a, b) => b.points - a.points);
  const others = reasons.filter((r) => r.from === undefined);
  return others.length > 0 ? [...rows, { label: 'Stitch', points: 0, notes: others }] : rows;
}
