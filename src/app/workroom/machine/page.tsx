import { readCalibrations, readMachines } from '@/data/machines';
import { db } from '@/data/sql';
import { MachineBench } from '@/ui/workroom/MachineBench';

export const metadata = { title: 'Machines' };

export default async function MachinePage() {
  const [machines, calibrations] = await Promise.all([readMachines(db()), readCalibrations(db())]);
  return <MachineBench machines={machines} calibrations={calibrations} />;
}
