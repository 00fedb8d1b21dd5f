import { ask } from '@/actions/queries';
import { listedCones } from '@/ui/shelf/listed';
import { ShelfBench } from '@/ui/shelf/ShelfBench';

export const metadata = { title: 'Thread shelf' };

export default async function ShelfPage({ searchParams }: { searchParams: Promise<{ cone?: string }> }) {
  const [cones, preferences, { cone }] = await Promise.all([
    ask.keptShelf(),
    ask.readPreferences(),
    searchParams,
  ]);
  return <ShelfBench key={cone} shelf={listedCones(cones)} lowM={preferences?.lowM ?? 300} open={cone} />;
}
