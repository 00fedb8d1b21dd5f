import { ask } from '@/actions/queries';
import { PatternsScreen } from '@/ui/patterns/PatternsScreen';
import { PutAwayList } from '@/ui/workroom/PutAwayList';

export const metadata = { title: 'Patterns' };

export default async function PatternsPage() {
  const [patterns, away] = await Promise.all([ask.readPatterns(), ask.readPutAway()]);
  return (
    <>
      <PatternsScreen patterns={patterns} />
      <PutAwayList away={away.filter((x) => x.what === 'pattern')} askedAt={new Date().getTime()} />
    </>
  );
}
