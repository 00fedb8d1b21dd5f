import { ask } from '@/actions/queries';
import { CareScreen } from '@/ui/care/CareScreen';

export const metadata = { title: 'Machine care' };

export default async function CarePage() {
  const now = new Date();
  const [machines, log] = await Promise.all([ask.readCare(now), ask.readServiceLog()]);
  return <CareScreen machines={machines} log={log} today={now.toISOString().slice(0, 10)} />;
}
