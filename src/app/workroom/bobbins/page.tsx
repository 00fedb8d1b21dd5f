import { ask } from '@/actions/queries';
import { BobbinsScreen } from '@/ui/workroom/BobbinsScreen';

export const metadata = { title: 'Bobbins' };

export default async function BobbinsPage() {
  const [bobbins, cones, machines] = await Promise.all([
    ask.readBobbins(),
    ask.readShelf(),
    ask.readMachines(),
  ]);
  return (
    <BobbinsScreen
      bobbins={bobbins}
      cones={cones.filter((c) => c.role !== 'top' && !c.archivedAt)}
      machines={machines}
    />
  );
}
