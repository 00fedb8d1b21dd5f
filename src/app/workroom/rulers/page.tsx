import { readPutAway } from '@/data/cloths';
import { readMachines } from '@/data/machines';
import { readRulers } from '@/data/rulers';
import { db } from '@/data/sql';
import { PutAwayList } from '@/ui/workroom/PutAwayList';
import { RulerBench } from '@/ui/workroom/RulerBench';

export const metadata = { title: 'Rulers' };

export default async function RulersPage() {
  const [rulers, machines, away] = await Promise.all([
    readRulers(db()),
    readMachines(db()),
    readPutAway(db()),
  ]);
  return (
    <>
      <RulerBench rulers={rulers} machines={machines} />
      <PutAwayList away={away.filter((x) => x.what === 'ruler')} />
    </>
  );
}
