import { ask } from '@/actions/queries';
import { MachineBench } from '@/ui/workroom/MachineBench';

export const metadata = { title: 'Machines' };

export default async function MachinePage() {
  const [machines, calibrations] = await Promise.all([ask.readMachines(), ask.readCalibrations()]);
  return <MachineBench machines={machines} calibrations={calibrations} />;
}
