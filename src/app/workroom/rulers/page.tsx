import { readMachines } from '@/data/machines';
import { readRulers } from '@/data/rulers';
import { db } from '@/data/sql';
import { RulerBench } from '@/ui/workroom/RulerBench';

export const metadata = { title: 'Rulers' };

export default async function RulersPage() {
  const [rulers, machines] = await Promise.all([readRulers(db()), readMachines(db())]);
  return <RulerBench rulers={rulers} machines={machines} />;
}
