import { readBobbins } from '@/data/bobbins';
import { readShelf } from '@/data/cones';
import { readMachines } from '@/data/machines';
import { db } from '@/data/sql';
import { BobbinBench } from '@/ui/workroom/BobbinBench';

export const metadata = { title: 'Bobbins' };

export default async function BobbinsPage() {
  const [bobbins, cones, machines] = await Promise.all([
    readBobbins(db()),
    readShelf(db()),
    readMachines(db()),
  ]);
  return (
    <BobbinBench
      bobbins={bobbins}
      cones={cones.filter((c) => c.role !== 'top' && !c.archivedAt)}
      machines={machines}
    />
  );
}
