import 'reflect-metadata';
import { v7 as uuidv7 } from 'uuid';
import { USUAL_BOBBINS, USUAL_NEEDLES } from '@/core/machine/usual';
import { bobbinCapacityM } from '@/core/usage/usage';
import { addBobbins } from '@/data/bobbins';
import { readAllCones } from '@/data/cones';
import { readMachines } from '@/data/machines';
import { upsertNeedle } from '@/data/needles';
import type { Context } from './context';
import { done, refuse, type Result } from './result';
import { FormKey, OneOf } from './rules';
import { save } from './save';

export class StockUsual {
  @FormKey() key!: string;
  @OneOf(['needles', 'bobbins'], 'Needles or bobbins.') what!: 'needles' | 'bobbins';
}

/** A usual drawer in one go: needles of the sizes that sew nearly everything, or bobbins wound of each bobbin thread. */
export const stockUsual = (context: Context, input: unknown): Promise<Result<{ count: number }>> =>
  save<StockUsual, { count: number }>(context, 'stock-usual', StockUsual, input, async (tx, { what }) => {
    if (what === 'needles') {
      for (const n of USUAL_NEEDLES) await upsertNeedle(tx, uuidv7(), n);
      return done({ count: USUAL_NEEDLES.reduce((sum, n) => sum + n.stock, 0) });
    }
    const [[machine], cones] = await Promise.all([readMachines(tx), readAllCones(tx)]);
    if (!machine) return refuse('Say first which machine they are for.', 'what');
    const own = cones.filter((c) => c.role === 'bobbin');
    const threads = own.length > 0 ? own : cones.filter((c) => c.role === 'both');
    if (threads.length === 0) return refuse('Put a bobbin thread on the shelf first.', 'what');
    for (const c of threads)
      await addBobbins(tx, uuidv7(), {
        coneId: c.id,
        kind: 'wound',
        metresEach: Math.round(
          bobbinCapacityM(
            { od: machine.bobbinOdMm, core: machine.bobbinCoreMm, width: machine.bobbinWidthMm },
            c,
          ),
        ),
        count: USUAL_BOBBINS,
      });
    return done({ count: threads.length * USUAL_BOBBINS });
  });
