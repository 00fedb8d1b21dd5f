import { ask } from '@/actions/queries';
import { scalesOf } from '@/core/machine/scales';
import { notFound } from 'next/navigation';
import { usualOf } from '@/actions/prepared';
import { Sheet } from '@/ui/print/Sheet';
import { readQuiltPage } from '../../quilt-page';
import { LoadingSheet } from '@/ui/print/sheets/LoadingSheet';
import { OrderSheet } from '@/ui/print/sheets/OrderSheet';
import { CardsSheet } from '@/ui/print/sheets/CardsSheet';
import { StripSheet } from '@/ui/print/sheets/StripSheet';
import { RouteSheet } from '@/ui/print/sheets/RouteSheet';
import { OfferSheet } from '@/ui/print/sheets/OfferSheet';
import { ClientSheet } from '@/ui/print/sheets/ClientSheet';
import type { SheetFacts } from '@/ui/print/sheets/sheet-facts';

export const metadata = { title: 'Sheet' };

const SHEETS: Readonly<Record<string, { title: string; body: React.ComponentType<SheetFacts> }>> = {
  loading: { title: 'Loading sheet', body: LoadingSheet },
  order: { title: 'Order of work', body: OrderSheet },
  cards: { title: 'Setting cards', body: CardsSheet },
  strip: { title: 'Test strip', body: StripSheet },
  route: { title: 'Way round', body: RouteSheet },
  offer: { title: 'Offer', body: OfferSheet },
  client: { title: 'Client’s sheet', body: ClientSheet },
};

export default async function SheetPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string; sheet: string }>;
  searchParams: Promise<{ zone?: string }>;
}) {
  const name = (await params).sheet;
  const sheet = SHEETS[name];
  if (!sheet) notFound();
  const page = await readQuiltPage({ params, searchParams });
  const [plan, measured, hand, settings, prepared, offers] = await Promise.all([
    ask.readPlan(page.view),
    ask.readScales(page.machine.id),
    ask.readHandBack(page.view.quilt.id),
    ask.readSettings(page.view.quilt.id),
    ask.readPrepared(page.view.quilt.id),
    ask.readOffers(page.view.quilt.id),
  ]);
  // What is marked asks for the calendar: only where it is shown.
  const marking =
    name === 'loading'
      ? (await ask.readMarking(page.view, plan.plan, plan.preferences, new Date())).zones
      : [];
  const setup = page.zone && page.view.setups.get(page.zone.id);
  const rounds = setup ? await ask.readRounds(setup.id) : [];
  const { quilt } = page.view;
  const loaded = {
    ...page,
    ...plan,
    scales: scalesOf(measured),
    rounds,
    marking,
    offers,
    hand,
    settings,
    prepared: prepared ?? usualOf(quilt, plan.preferences),
  };
  return (
    <Sheet title={`${sheet.title}: ${quilt.name}, ${quilt.client}`} back={`/quilts/${quilt.id}/sheets`}>
      <sheet.body {...loaded} />
    </Sheet>
  );
}
