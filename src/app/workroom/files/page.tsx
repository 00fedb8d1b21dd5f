import { FilesBench } from '@/ui/workroom/FilesBench';

export const metadata = { title: 'Files in and out' };

export default function FilesPage() {
  return <FilesBench />;
}
