import type { Schema } from './schema-parts';

/** A verb of the command line: what it takes, what it gives, and the core function behind it. */
export interface Verb {
  summary: string;
  request: Schema;
  response: Schema;
  run(request: never): object;
}

export const verb = <Request>(
  summary: string,
  request: Schema,
  response: Schema,
  run: (r: Request) => object,
): Verb => ({
  summary,
  request,
  response,
  run: run as Verb['run'],
});
