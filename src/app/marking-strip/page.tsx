import { MarkingStripSheets } from '@/ui/rulers/MarkingStripSheets';

export const metadata = { title: 'Marking strip' };

export default function MarkingStripPage() {
  return <MarkingStripSheets />;
}
