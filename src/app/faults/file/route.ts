import { ask } from '@/actions/queries';
import { format } from 'date-fns';
import Papa from 'papaparse';
import { causes } from '@/core/faults/knowledge';
import { signs } from '@/core/tables/symptoms';
import { FORMULA } from '@/actions/exchange';
import { type BookQuery, filterOf } from '../filter';

export const dynamic = 'force-dynamic';
const MOST = 200_000;

/** The book as it is narrowed, as CSV. */
export async function GET(request: Request) {
  const query = Object.fromEntries(new URL(request.url).searchParams) as BookQuery;
  const rows = await ask.readBook(filterOf(query), MOST);
  const csv = Papa.unparse(
    rows.map((f) => ({
      When: f.noticedAt.toISOString(),
      Quilt: f.quilt,
      Client: f.client,
      Zone: f.zone ?? '',
      Thread: f.thread ?? '',
      Seen: f.symptoms.map((s) => signs.find(s)?.label ?? s).join('; '),
      State: f.status,
      'What it was': (f.cause ? causes.find(f.cause)?.label : f.ownCause) ?? '',
      'What was done': f.remedy ?? '',
      'Minutes lost': f.minutesLost ?? '',
      Note: f.note,
    })),
    { escapeFormulae: FORMULA, newline: '\r\n' },
  );
  return new Response(`\ufeff${csv}`, {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': `attachment; filename="faults-${format(new Date(), 'yyyy-MM-dd')}.csv"`,
      'Cache-Control': 'no-store',
    },
  });
}
