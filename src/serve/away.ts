import { isAway } from '@/actions/mishaps';

/** What another program is told while the database is away: come again in so many seconds. */
const AGAIN_S = 2;

export const away = (): Response =>
  Response.json(
    { error: { message: 'The studio’s database did not answer; try again in a moment.' } },
    { status: 503, headers: { 'Retry-After': String(AGAIN_S), 'Cache-Control': 'no-store' } },
  );

/** Answers a request; while the database is away it is told so, as a program on the other side expects. */
export async function unlessAway(act: () => Promise<Response>): Promise<Response> {
  try {
    return await act();
  } catch (error) {
    if (isAway(error)) return away();
    throw error;
  }
}
