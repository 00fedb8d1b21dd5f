import { ask } from '@/actions/queries';
import { machineForCore, needlesFor, schoolsForCore, threadsOf } from '@/actions/match-sources';
import { USE_LABEL, WISH_LABEL } from '@/core/fields/lists';
import { battings } from '@/core/tables/battings';
import { fabrics } from '@/core/tables/fabrics';
import { techniques } from '@/core/tables/techniques';
import { USUAL_MACHINES } from '@/core/machine/usual';
import type { Machine } from '@/data/types';
import { QuickScreen } from '@/ui/quick/QuickScreen';

export const metadata = { title: 'Quick set-up' };

/** Zones offered at most: of the quilts due soonest. */
const MOST_ZONES = 60;
const options = (rows: readonly { id: string; label: string }[]) =>
  rows.map((r) => ({ value: r.id, label: r.label }));
const listed = (labels: Readonly<Record<string, string>>) =>
  Object.entries(labels).map(([value, label]) => ({ value, label }));

export default async function QuickPage() {
  const [machines, shelf, drawer, preferences, zones] = await Promise.all([
    ask.readMachines(),
    ask.keptShelf(),
    ask.readDrawer(),
    ask.readPreferences(),
    ask.readZonesToMatch(MOST_ZONES),
  ]);
  const machine = machines[0] ?? null;
  const measured = machine ? await ask.readScales(machine.id) : [];
  const named = new Set<string>();
  // A line in one colour stands once in the list; its colour is seen on the shelf.
  const threads = threadsOf(shelf.inUse).filter((t) => !named.has(t.name!) && named.add(t.name!));
  return (
    <QuickScreen
      first={{
        fabric: 'quilting-cotton',
        batting: 'cotton-80-20',
        technique: 'meander-medium',
        backing: 'quilting-cotton',
        thread: '',
        use: 'bed',
        visibility: 'texture',
      }}
      lists={{
        fabrics: options(fabrics.rows),
        battings: options(battings.rows),
        techniques: options(techniques.rows.filter((t) => !t.leftOpen)),
        uses: listed(USE_LABEL),
        wishes: listed(WISH_LABEL),
      }}
      usual={USUAL_MACHINES.rows.map((m) => ({
        value: m.id,
        label: m.label,
        machine: machineForCore({ ...(m.values as unknown as Machine), id: m.id, version: 0 }),
      }))}
      zones={zones.map((z) => ({
        value: z.id,
        quiltId: z.quiltId,
        label: `${z.quilt}, ${z.letter} ${z.name}`,
      }))}
      studio={{
        machine: machine && machineForCore(machine),
        threads,
        needles: preferences ? needlesFor(drawer, preferences) : [],
        preferences: preferences ? schoolsForCore(preferences) : undefined,
        tensionSchool: preferences?.tensionSchool ?? 'both',
        measured,
      }}
    />
  );
}
