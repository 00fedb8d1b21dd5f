import { readBattings, readFabrics } from '@/data/cloths';
import { db } from '@/data/sql';
import { readPreferences } from '@/data/preferences';
import { ClothBench } from '@/ui/workroom/ClothBench';

export const metadata = { title: 'Cloth and batting' };

export default async function ClothPage() {
  const [fabrics, battings, preferences] = await Promise.all([
    readFabrics(db()),
    readBattings(db()),
    readPreferences(db()),
  ]);
  return <ClothBench fabrics={fabrics} battings={battings} units={preferences?.units ?? 'inch'} />;
}
