import { db } from '@/data/sql';
import { readPreferences } from '@/data/preferences';
import { PreferencesForm } from '@/ui/workroom/PreferencesForm';

export const metadata = { title: 'How we work' };

export default async function SchoolsPage() {
  const preferences = await readPreferences(db());
  return preferences && <PreferencesForm key={preferences.version} preferences={preferences} />;
}
