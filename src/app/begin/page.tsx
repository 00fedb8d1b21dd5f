import { ask } from '@/actions/queries';
import { BeginBench } from '@/ui/begin/BeginBench';

export const metadata = { title: 'Begin' };

/** From an empty studio to the first set-up along one thread. */
export default async function BeginPage() {
  return <BeginBench begun={await ask.readBegun()} />;
}
