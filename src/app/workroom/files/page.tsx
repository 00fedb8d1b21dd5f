import { ask } from '@/actions/queries';
import { copyPlan } from '@/backup/copies';
import { BackupPanel } from '@/ui/workroom/BackupPanel';
import { FilesScreen } from '@/ui/workroom/FilesScreen';
import { MishapList } from '@/ui/workroom/MishapList';

export const metadata = { title: 'Files in and out' };

export default async function FilesPage() {
  const [mishaps, copies] = await Promise.all([ask.readMishaps(20), ask.readCopies(20)]);
  return (
    <>
      <BackupPanel copies={copies} folder={copyPlan()?.folder ?? null} askedAt={new Date().getTime()} />
      <FilesScreen />
      <MishapList mishaps={mishaps} />
    </>
  );
}
