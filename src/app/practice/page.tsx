import { ask } from '@/actions/queries';
import { DRILLS } from '@/core/practice/drills';
import { ButtonLink } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';
import { PracticeScreen } from '@/ui/practice/PracticeScreen';

export const metadata = { title: 'Practice' };

export default async function PracticePage({ searchParams }: { searchParams: Promise<{ drill?: string }> }) {
  const { drill: asked } = await searchParams;
  const drill = DRILLS.find(asked ?? '') ?? DRILLS.rows[0]!;
  const [machines, runs, compared, sent] = await Promise.all([
    ask.readMachines(),
    ask.readPractice(),
    ask.readFirstAndLatest(drill.id),
    ask.readSent(),
  ]);
  const [machine] = machines;
  if (!machine)
    return (
      <div className="px-6 pt-4">
        <Empty title="No machine yet" act={<ButtonLink href="/workroom/machine">Add a machine</ButtonLink>}>
          A drill is judged through a machine: its speeds and how it is regulated.
        </Empty>
      </div>
    );
  const now = new Date().getTime();
  return <PracticeScreen {...{ machine, runs, compared, sent, now }} drillId={drill.id} />;
}
