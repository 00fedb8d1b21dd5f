import { ask } from '@/actions/queries';
import { BeginScreen } from '@/ui/begin/BeginScreen';

export const metadata = { title: 'Begin' };

/** From an empty studio to the first set-up along one thread. */
export default async function BeginPage() {
  return <BeginScreen begun={await ask.readBegun()} />;
}
