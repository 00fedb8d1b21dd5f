import { addDays, subDays } from 'date-fns';
import { v7 as uuidv7 } from 'uuid';
import { insertCare } from '@/data/care';
import type { Sql } from '@/data/sql';
import { putTaskTime } from '@/data/tasks';

/** What was done to the machine, days before today. */
const DONE: readonly [item: string, daysAgo: number, rest?: { technician: string; found: string }][] = [
  ['lint-hook', 1],
  ['oil-race', 1],
  ['tension-check', 1],
  ['wipe-rails', 5],
  ['oil-points', 26],
  ['wheels-belts', 60],
  ['level', 140],
  [
    'timing',
    200,
    { technician: 'Una Thorne', found: 'Timing good, a groove in the thread guide polished out.' },
  ],
];

/** Tasks that were timed: quilt, task, minutes, and what was predicted. */
const TIMED: readonly [quilt: string, task: string, minutes: number, predicted: number][] = [
  ['Nine Buoys', 'look-over', 12, 9.6],
  ['Harbour Lights', 'look-over', 17, 12.4],
];

/** The demo studio's care of its machine, and its clocks away from the frame. */
export async function careAndClocks(sql: Sql, machineId: string, today: Date): Promise<void> {
  for (const [item, daysAgo, rest] of DONE)
    await insertCare(sql, {
      id: uuidv7(),
      machineId,
      item,
      at: subDays(today, daysAgo),
      technician: '',
      found: '',
      parts: '',
      touched: [],
      gaugeBeforeGf: null,
      gaugeAfterGf: null,
      counterStitches: null,
      ...rest,
    });
  for (const [name, task, minutes, predictedMin] of TIMED) {
    const [quilt] = await sql<{ id: string }[]>`select id from quilt where name = ${name}`;
    if (!quilt) continue;
    await putTaskTime(
      sql,
      {
        id: uuidv7(),
        quiltId: quilt.id,
        task,
        state: 'done',
        runningSince: null,
        minutes,
        predictedMin,
        doneAt: addDays(today, -9),
        version: 0,
      },
      0,
    );
  }
}
