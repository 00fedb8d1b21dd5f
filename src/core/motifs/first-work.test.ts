import { PLAN_LABEL, type PlanKind, planZones } from '../plan/plan-kinds';
import { battings } from '../tables/battings';
import { techniques } from '../tables/techniques';
import { firstWork } from './first-work';

const kinds = Object.keys(PLAN_LABEL) as PlanKind[];
const known = (battingId: string) => ({
  quilt: { widthIn: 60, lengthIn: 72, use: 'bed' as const, battingId },
  top: [{ fabric: 'quilting-cotton' }],
  features: [],
  visibility: 'texture' as const,
});

test.each(kinds)('%s: every zone begins with something of few kinds that the batting holds', (kind) => {
  const zones = planZones({ kind, widthIn: 60, lengthIn: 72, borderIn: 6, columns: 4, rows: 5, sashIn: 2 });
  for (const battingId of ['cotton-80-20', 'wool', 'unknown']) {
    const work = firstWork(zones, known(battingId));
    expect(work).toHaveLength(zones.length);
    expect(new Set(work.map((w) => w.technique)).size).toBeLessThanOrEqual(4);
    const limit = battings.get(battingId).maxGapIn;
    for (const w of work) {
      const t = techniques.get(w.technique);
      expect(w.spacingIn).toBeGreaterThan(0);
      if (t.density.kind === 'spacing')
        expect([kind, w.technique, w.spacingIn <= limit]).toEqual([kind, w.technique, true]);
    }
    expect(firstWork(zones, known(battingId))).toEqual(work);
  }
});
