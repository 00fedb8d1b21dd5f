import { readMachines } from '@/data/machines';
import { readFitted, readNeedles } from '@/data/needles';
import { db } from '@/data/sql';
import { readStudio } from '@/data/studio';
import { NeedleBench } from '@/ui/workroom/NeedleBench';

export const metadata = { title: 'Needles' };

export default async function NeedlesPage() {
  const [needles, fitted, machines, studio] = await Promise.all([
    readNeedles(db()),
    readFitted(db()),
    readMachines(db()),
    readStudio(db()),
  ]);
  return (
    <NeedleBench
      needles={needles}
      fitted={fitted}
      machines={machines}
      warnShare={studio?.needleWarnShare ?? 0.9}
    />
  );
}
