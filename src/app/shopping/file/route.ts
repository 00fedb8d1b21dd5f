import { ask } from '@/actions/queries';
import { shoppingCsv } from '@/actions/shopping';

export const dynamic = 'force-dynamic';

/** The shopping and winding list as CSV. */
export async function GET() {
  const lines = await ask.readShopping(new Date());
  if (!lines) return new Response('There is no studio yet.', { status: 404 });
  return new Response(`\ufeff${shoppingCsv(lines)}`, {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="shopping.csv"',
      'Cache-Control': 'no-store',
    },
  });
}
