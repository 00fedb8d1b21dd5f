import { copyPlan } from '@/backup/copies';
import { readMishaps } from '@/data/mishaps';
import { db } from '@/data/sql';
import { readCopies } from '@/data/backup';
import { BackupPanel } from '@/ui/workroom/BackupPanel';
import { FilesBench } from '@/ui/workroom/FilesBench';
import { MishapList } from '@/ui/workroom/MishapList';

export const metadata = { title: 'Files in and out' };

export default async function FilesPage() {
  const [mishaps, copies] = await Promise.all([readMishaps(db(), 20), readCopies(db(), 20)]);
  return (
    <>
      <BackupPanel copies={copies} folder={copyPlan()?.folder ?? null} />
      <FilesBench />
      <MishapList mishaps={mishaps} />
    </>
  );
}
