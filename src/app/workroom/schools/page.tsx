import { db } from '@/data/sql';
import { readStudio } from '@/data/studio';
import { SchoolsForm } from '@/ui/workroom/SchoolsForm';

export const metadata = { title: 'How we work' };

export default async function SchoolsPage() {
  const studio = await readStudio(db());
  return studio && <SchoolsForm key={studio.version} studio={studio} />;
}
