import { ask } from '@/actions/queries';
import { RatesForm } from '@/ui/workroom/RatesForm';

export const metadata = { title: 'Rates' };

export default async function RatesPage() {
  const [rates, preferences, cameTo] = await Promise.all([
    ask.readRates(),
    ask.readPreferences(),
    ask.readKindsCameTo(),
  ]);
  return (
    <RatesForm key={rates.version} rates={rates} currency={preferences?.currency ?? 'EUR'} cameTo={cameTo} />
  );
}
