import { ask } from '@/actions/queries';
import { PreferencesForm } from '@/ui/workroom/PreferencesForm';

export const metadata = { title: 'How we work' };

export default async function SchoolsPage() {
  const preferences = await ask.readPreferences();
  return preferences && <PreferencesForm key={preferences.version} preferences={preferences} />;
}
