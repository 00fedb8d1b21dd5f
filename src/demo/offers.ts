import { addDays, format } from 'date-fns';
import { v7 as uuidv7 } from 'uuid';
import { offerRequest, readOfferSources } from '@/actions/offers';
import { readQuiltView } from '@/actions/quilt-view';
import type { RatesFields, SuppliedFields } from '@/core/fields/offer';
import { offerOf } from '@/core/quote/offer';
import { insertOffer, readRates, setOfferState, updateRates } from '@/data/offers';
import type { Sql } from '@/data/sql';

const RATES: RatesFields = {
  basis: 'hour',
  hourMinor: 3800,
  tableHourMinor: 2600,
  edgeMinor: 240,
  lightMinor: 300,
  customMinor: 620,
  denseMinor: 980,
  leastMinor: 6500,
  bobbinMinor: 150,
  rushPct: 25,
  taxPct: 20,
};

/** Quilts that have an offer, days before today it was made, and whether the client agreed. */
const OFFERED: readonly {
  quilt: string;
  daysAgo: number;
  agreed: boolean;
  basis: RatesFields['basis'];
  tasks: string[];
  supplied?: SuppliedFields[];
}[] = [
  { quilt: 'Nine Buoys', daysAgo: 28, agreed: true, basis: 'hour', tasks: ['look-over', 'look-out', 'pack'] },
  {
    quilt: 'Harbour Lights',
    daysAgo: 14,
    agreed: true,
    basis: 'hour',
    tasks: ['look-over', 'look-out', 'trim', 'pack'],
    supplied: [{ label: 'Drumlin 80/20', amount: 2.5, unit: 'yd', priceMinor: 1450 }],
  },
  {
    quilt: 'Tide Table',
    daysAgo: 3,
    agreed: false,
    basis: 'hour',
    tasks: ['look-over', 'unmark', 'look-out', 'pack'],
  },
  { quilt: 'Salt Pans', daysAgo: 5, agreed: true, basis: 'area', tasks: ['pack'] },
];

/** What the demo studio charges, and the offers it has made. */
export async function makeOffers(sql: Sql, today: Date): Promise<void> {
  await updateRates(sql, RATES, (await readRates(sql)).version);
  const rates = await readRates(sql);
  for (const o of OFFERED) {
    const [row] = await sql<{ id: string }[]>`select id from quilt where name = ${o.quilt}`;
    const view = row && (await readQuiltView(sql, row.id, 'its cards'));
    if (!view) continue;
    const supplied = o.supplied ?? [];
    const asked = { basis: o.basis, tasks: o.tasks, isRush: false, taxPct: rates.taxPct, supplied };
    const sources = await readOfferSources(sql, view);
    const id = uuidv7();
    const madeOn = format(addDays(today, -o.daysAgo), 'yyyy-MM-dd');
    await insertOffer(sql, {
      ...asked,
      id,
      quiltId: view.quilt.id,
      currency: 'EUR',
      validDays: 7,
      note: '',
      reckoned: { ...offerOf(offerRequest(sources, rates, asked)), work: sources.work },
      madeOn,
    });
    if (o.agreed)
      await setOfferState(sql, id, 1, 'agreed', format(addDays(today, 2 - o.daysAgo), 'yyyy-MM-dd'));
  }
}
