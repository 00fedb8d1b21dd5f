import { ask } from '@/actions/queries';
import { listedCones } from '@/ui/shelf/listed';
import { ShelfScreen } from '@/ui/shelf/ShelfScreen';

export const metadata = { title: 'Thread shelf' };

export default async function ShelfPage({ searchParams }: { searchParams: Promise<{ cone?: string }> }) {
  const [cones, preferences, { cone }] = await Promise.all([
    ask.keptShelf(),
    ask.readPreferences(),
    searchParams,
  ]);
  return <ShelfScreen key={cone} shelf={listedCones(cones)} lowM={preferences?.lowM ?? 300} open={cone} />;
}
