import { ask } from '@/actions/queries';
import { PutAwayList } from '@/ui/workroom/PutAwayList';
import { YarnsScreen } from '@/ui/workroom/YarnsScreen';

export const metadata = { title: 'Yarn' };

export default async function YarnPage() {
  const [yarns, machines, away] = await Promise.all([ask.readYarns(), ask.readMachines(), ask.readPutAway()]);
  return (
    <>
      <YarnsScreen yarns={yarns} machines={machines} />
      <PutAwayList away={away.filter((x) => x.what === 'yarn')} askedAt={new Date().getTime()} />
    </>
  );
}
