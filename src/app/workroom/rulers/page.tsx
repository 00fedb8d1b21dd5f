import { ask } from '@/actions/queries';
import { PutAwayList } from '@/ui/workroom/PutAwayList';
import { WhichRuler } from '@/ui/rulers/WhichRuler';
import { RulersScreen } from '@/ui/workroom/RulersScreen';

export const metadata = { title: 'Rulers' };

export default async function RulersPage() {
  const [rulers, machines, away] = await Promise.all([
    ask.readRulers(),
    ask.readMachines(),
    ask.readPutAway(),
  ]);
  return (
    <>
      <RulersScreen rulers={rulers} machines={machines} />
      <WhichRuler rulers={rulers} offsetIn={machines[0]?.footOffsetIn ?? 0.25} />
      <PutAwayList away={away.filter((x) => x.what === 'ruler')} askedAt={new Date().getTime()} />
    </>
  );
}
