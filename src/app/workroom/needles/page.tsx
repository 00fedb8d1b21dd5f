import { ask } from '@/actions/queries';
import { NeedleBench } from '@/ui/workroom/NeedleBench';

export const metadata = { title: 'Needles' };

export default async function NeedlesPage() {
  const [needles, fitted, machines, preferences] = await Promise.all([
    ask.readNeedles(),
    ask.readFitted(),
    ask.readMachines(),
    ask.readPreferences(),
  ]);
  return (
    <NeedleBench
      needles={needles}
      fitted={fitted}
      machines={machines}
      warnShare={preferences?.needleWarnShare ?? 0.9}
    />
  );
}
