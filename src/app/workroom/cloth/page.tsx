import { readBattings, readFabrics } from '@/data/cloths';
import { db } from '@/data/sql';
import { readStudio } from '@/data/studio';
import { ClothBench } from '@/ui/workroom/ClothBench';

export const metadata = { title: 'Cloth and batting' };

export default async function ClothPage() {
  const [fabrics, battings, studio] = await Promise.all([
    readFabrics(db()),
    readBattings(db()),
    readStudio(db()),
  ]);
  return <ClothBench fabrics={fabrics} battings={battings} units={studio?.units ?? 'inch'} />;
}
