import { ask } from '@/actions/queries';
import { format } from 'date-fns';
import { EXCHANGE_KINDS, type ExchangeKind } from '@/core/exchange/columns';

export const dynamic = 'force-dynamic';

/** A kind as CSV, or the whole workroom as JSON. */
export async function GET(_: Request, { params }: { params: Promise<{ kind: string }> }) {
  const { kind } = await params;
  const file = (name: string, type: string, body: string) =>
    new Response(body, {
      headers: {
        'Content-Type': `${type}; charset=utf-8`,
        'Content-Disposition': `attachment; filename="${name}-${format(new Date(), 'yyyy-MM-dd')}.${type.endsWith('json') ? 'json' : 'csv'}"`,
        'Cache-Control': 'no-store',
      },
    });
  if (kind === 'workroom')
    return file('workroom', 'application/json', JSON.stringify(await ask.exportWorkroom(), null, 2));
  if (EXCHANGE_KINDS.includes(kind as ExchangeKind))
    // The mark at the start tells spreadsheets that this is UTF-8.
    return file(kind, 'text/csv', `\ufeff${await ask.exportCsv(kind as ExchangeKind)}`);
  return Response.json({ error: 'There is no such file.' }, { status: 404 });
}
