import { readAllCones } from '@/data/cones';
import { db } from '@/data/sql';
import { readPreferences } from '@/data/preferences';
import { packCones } from '@/ui/shelf/packed';
import { ShelfBench } from '@/ui/shelf/ShelfBench';

export const metadata = { title: 'Thread shelf' };

export default async function ShelfPage({ searchParams }: { searchParams: Promise<{ cone?: string }> }) {
  const [cones, preferences, { cone }] = await Promise.all([
    readAllCones(db()),
    readPreferences(db()),
    searchParams,
  ]);
  return <ShelfBench key={cone} shelf={packCones(cones)} lowM={preferences?.lowM ?? 300} open={cone} />;
}
