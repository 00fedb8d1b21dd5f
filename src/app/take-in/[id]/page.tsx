import { ask } from '@/actions/queries';
import { isUUID } from 'class-validator';
import { addDays, format } from 'date-fns';
import { notFound, redirect } from 'next/navigation';
import { Talk } from '@/ui/take-in/Talk';

export const metadata = { title: 'Take in' };

export default async function TalkPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const intake = isUUID(id) ? await ask.readIntake(id) : null;
  if (!intake) notFound();
  if (intake.quiltId) redirect(`/quilts/${intake.quiltId}/take-in`);
  const [fabrics, battings, machines, clients, photographs, preferences] = await Promise.all([
    ask.readFabrics(),
    ask.readBattings(),
    ask.readMachines(),
    ask.readClientNames(),
    ask.readPhotographs({ intakeId: id }),
    ask.readPreferences(),
  ]);
  return (
    <Talk
      intake={{ id: intake.id, step: intake.step, data: intake.data, version: intake.version }}
      fabrics={fabrics}
      battings={battings}
      machines={machines}
      clients={clients}
      photographs={photographs.map((p) => p.id)}
      currency={preferences!.currency}
      usualDue={format(addDays(new Date(), 21), 'yyyy-MM-dd')}
    />
  );
}
