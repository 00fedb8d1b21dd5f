import { ask } from '@/actions/queries';
import { LearnedBench } from '@/ui/learned/LearnedBench';

export const metadata = { title: 'What this studio has learned' };

export default async function LearnedPage() {
  return <LearnedBench {...await ask.readLearnedView()} />;
}
