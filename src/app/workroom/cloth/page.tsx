import { readBattings, readFabrics, readPutAway } from '@/data/cloths';
import { db } from '@/data/sql';
import { readPreferences } from '@/data/preferences';
import { PutAwayList } from '@/ui/workroom/PutAwayList';
import { ClothBench } from '@/ui/workroom/ClothBench';

export const metadata = { title: 'Fabric and batting' };

export default async function ClothPage() {
  const [fabrics, battings, preferences, away] = await Promise.all([
    readFabrics(db()),
    readBattings(db()),
    readPreferences(db()),
    readPutAway(db()),
  ]);
  return (
    <>
      <ClothBench fabrics={fabrics} battings={battings} units={preferences?.units ?? 'inch'} />
      <PutAwayList away={away.filter((x) => x.what !== 'ruler')} />
    </>
  );
}
