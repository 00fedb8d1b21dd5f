import type postgres from 'postgres';
import { db } from '@/data/sql';
import type { Actor } from './may';

/** What every action is given: where to store, who asks, and what time it is. */
export interface Context {
  sql: postgres.Sql;
  actor: Actor;
  now: Date;
}

/** The studio's own quilter, until there are several people. */
export const QUILTER: Actor = {
  id: '00000000-0000-7000-8000-000000000001',
  name: 'The quilter',
  role: 'quilter',
};

/** Who asks, of which database, and when: what every door of this process passes on. */
export const thisContext = (): Context => ({ sql: db(), actor: QUILTER, now: new Date() });
