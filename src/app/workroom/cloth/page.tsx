import { ask } from '@/actions/queries';
import { PutAwayList } from '@/ui/workroom/PutAwayList';
import { ClothsScreen } from '@/ui/workroom/ClothsScreen';

export const metadata = { title: 'Fabric and batting' };

export default async function ClothPage() {
  const [fabrics, battings, preferences, away] = await Promise.all([
    ask.readFabrics(),
    ask.readBattings(),
    ask.readPreferences(),
    ask.readPutAway(),
  ]);
  return (
    <>
      <ClothsScreen fabrics={fabrics} battings={battings} units={preferences?.units ?? 'inch'} />
      <PutAwayList away={away.filter((x) => x.what !== 'ruler')} askedAt={new Date().getTime()} />
    </>
  );
}
