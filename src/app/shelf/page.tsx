import { readAllCones } from '@/data/cones';
import { db } from '@/data/sql';
import { readStudio } from '@/data/studio';
import { packCones } from '@/ui/shelf/packed';
import { ShelfBench } from '@/ui/shelf/ShelfBench';

export const metadata = { title: 'Thread shelf' };

export default async function ShelfPage({ searchParams }: { searchParams: Promise<{ cone?: string }> }) {
  const [cones, studio, { cone }] = await Promise.all([readAllCones(db()), readStudio(db()), searchParams]);
  return <ShelfBench key={cone} shelf={packCones(cones)} lowM={studio?.lowM ?? 300} open={cone} />;
}
