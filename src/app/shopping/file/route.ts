import { readShopping, shoppingCsv } from '@/actions/shopping';
import { db } from '@/data/sql';

export const dynamic = 'force-dynamic';

/** The shopping and winding list as CSV. */
export async function GET() {
  const lines = await readShopping(db(), new Date());
  if (!lines) return new Response('There is no studio yet.', { status: 404 });
  return new Response(`\ufeff${shoppingCsv(lines)}`, {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="shopping.csv"',
      'Cache-Control': 'no-store',
    },
  });
}
