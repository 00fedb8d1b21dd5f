import { readLearnedView } from '@/actions/learned-view';
import { db } from '@/data/sql';
import { LearnedBench } from '@/ui/learned/LearnedBench';

export const metadata = { title: 'What this studio has learned' };

export default async function LearnedPage() {
  return <LearnedBench {...await readLearnedView(db())} />;
}
