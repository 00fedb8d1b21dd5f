import type postgres from 'postgres';
import { db } from '@/data/sql';
import { reached } from '@/serve/reached';
import type { Actor } from './may';

/** What every action is given: where to store, who asks, and what time it is. */
export interface Context {
  sql: postgres.Sql;
  actor: Actor;
  now: Date;
}

/** The studio's own quilter, its owner: whoever asks while she is alone in it. */
export const QUILTER: Actor = {
  id: '00000000-0000-7000-8000-000000000001',
  name: 'The quilter',
  role: 'owner',
};

/** Who asks, of which database, and when: what every door of this process passes on. Whom the door let in is who asks. */
export const thisContext = (): Context => ({
  sql: db(),
  actor: reached.getStore()?.actor ?? QUILTER,
  now: new Date(),
});
