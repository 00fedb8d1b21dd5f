import { ask } from '@/actions/queries';
import { NeedlesScreen } from '@/ui/workroom/NeedlesScreen';

export const metadata = { title: 'Needles' };

export default async function NeedlesPage() {
  const [needles, fitted, machines, preferences] = await Promise.all([
    ask.readNeedles(),
    ask.readFitted(),
    ask.readMachines(),
    ask.readPreferences(),
  ]);
  return (
    <NeedlesScreen
      needles={needles}
      fitted={fitted}
      machines={machines}
      warnShare={preferences?.needleWarnShare ?? 0.9}
    />
  );
}
