import { readMishaps } from '@/data/mishaps';
import { db } from '@/data/sql';
import { FilesBench } from '@/ui/workroom/FilesBench';
import { MishapList } from '@/ui/workroom/MishapList';

export const metadata = { title: 'Files in and out' };

export default async function FilesPage() {
  const mishaps = await readMishaps(db(), 20);
  return (
    <>
      <FilesBench />
      <MishapList mishaps={mishaps} />
    </>
  );
}
