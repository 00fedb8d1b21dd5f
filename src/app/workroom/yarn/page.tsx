import { readPutAway } from '@/data/cloths';
import { readMachines } from '@/data/machines';
import { readYarns } from '@/data/yarns';
import { db } from '@/data/sql';
import { PutAwayList } from '@/ui/workroom/PutAwayList';
import { YarnBench } from '@/ui/workroom/YarnBench';

export const metadata = { title: 'Yarn' };

export default async function YarnPage() {
  const [yarns, machines, away] = await Promise.all([readYarns(db()), readMachines(db()), readPutAway(db())]);
  return (
    <>
      <YarnBench yarns={yarns} machines={machines} />
      <PutAwayList away={away.filter((x) => x.what === 'yarn')} />
    </>
  );
}
