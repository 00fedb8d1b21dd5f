import { readMachines } from '@/data/machines';
import { readFitted, readNeedles } from '@/data/needles';
import { db } from '@/data/sql';
import { readPreferences } from '@/data/preferences';
import { NeedleBench } from '@/ui/workroom/NeedleBench';

export const metadata = { title: 'Needles' };

export default async function NeedlesPage() {
  const [needles, fitted, machines, preferences] = await Promise.all([
    readNeedles(db()),
    readFitted(db()),
    readMachines(db()),
    readPreferences(db()),
  ]);
  return (
    <NeedleBench
      needles={needles}
      fitted={fitted}
      machines={machines}
      warnShare={preferences?.needleWarnShare ?? 0.9}
    />
  );
}
