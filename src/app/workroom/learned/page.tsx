import { ask } from '@/actions/queries';
import { LearnedScreen } from '@/ui/learned/LearnedScreen';

export const metadata = { title: 'What this studio has learned' };

export default async function LearnedPage() {
  return <LearnedScreen {...await ask.readLearnedView()} />;
}
