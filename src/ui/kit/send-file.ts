import type { Result } from '@/actions/result';

/** Sends what may be larger than a form to a door of its own. */
export const sendFile =
  <T>(url: string) =>
  async (input: unknown): Promise<Result<T>> => {
    const answer = await fetch(url, { method: 'POST', body: JSON.stringify(input) });
    return (await answer.json()) as Result<T>;
  };
