import { ask } from '@/actions/queries';
import { MachineScreen } from '@/ui/workroom/MachineScreen';

export const metadata = { title: 'Machines' };

export default async function MachinePage() {
  const [machines, calibrations] = await Promise.all([ask.readMachines(), ask.readCalibrations()]);
  return <MachineScreen machines={machines} calibrations={calibrations} />;
}
