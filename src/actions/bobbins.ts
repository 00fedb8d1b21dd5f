import { v7 as uuidv7 } from 'uuid';
import { bobbinCapacityM } from '@/core/usage/usage';
import { addBobbins, updateBobbinCount } from '@/data/bobbins';
import { lockCone, readCone, takeMetres } from '@/data/cones';
import { readMachine } from '@/data/machines';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { FormKey, Id, Maybe, Num, OneOf, Version, Whole } from './rules';
import { MEANWHILE, save } from './save';

/** Bobbins wound from a cone, or bought prewound. */
export class WindBobbins {
  @FormKey() key!: string;
  @Id('Pick the thread.') coneId!: string;
  @Id('Pick the machine they are for.') machineId!: string;
  @OneOf(['wound', 'prewound'], 'Wound here, or bought prewound.') kind!: 'wound' | 'prewound';
  @Whole(1, 500, 'The number of bobbins') count!: number;
  /** Left out, it is the capacity worked out. */
  @Maybe() @Num(1, 2000, 'Metres a bobbin') metresEach?: number | null;
}

/** Puts bobbins on the tray; what is wound here comes off the cone. */
export const windBobbins = (context: Context, input: unknown): Promise<Result<{ metres: number }>> =>
  save<WindBobbins, { metres: number }>(context, 'wind-bobbins', WindBobbins, input, async (tx, form) => {
    await lockCone(tx, form.coneId);
    const cone = await readCone(tx, form.coneId);
    if (!cone) return refuse('This thread is no longer on the shelf.', 'coneId');
    const m = await readMachine(tx, form.machineId);
    if (!m) return refuse('This machine is not known.', 'machineId');
    const each =
      form.metresEach ??
      Math.round(
        bobbinCapacityM(
          { od: m.bobbinOdMm, core: m.bobbinCoreMm, width: m.bobbinWidthMm },
          cone,
          form.kind === 'prewound',
        ),
      );
    const metres = each * form.count;
    if (form.kind === 'wound') {
      if (cone.remainingM !== null && metres > cone.remainingM * 1.05)
        return refuse(
          `${form.count} bobbins take ${Math.round(metres)} m; the cone has ${Math.round(cone.remainingM)} m. Wind fewer, or weigh the cone again.`,
          'count',
        );
      await takeMetres(tx, {
        coneId: cone.id,
        metres,
        why: 'winding',
        note: `${form.count} bobbins of ${Math.round(each)} m`,
      });
    }
    await addBobbins(tx, uuidv7(), {
      coneId: cone.id,
      kind: form.kind,
      metresEach: each,
      count: form.count,
    });
    return done({ metres });
  });

export class CountBobbins {
  @FormKey() key!: string;
  @Id('These bobbins are not known. Reload the page.') id!: string;
  @Version() version!: number;
  @Whole(0, 10_000, 'The number of bobbins') count!: number;
}

export const countBobbins = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<CountBobbins, { id: string }>(context, 'count-bobbins', CountBobbins, input, async (tx, form) =>
    (await updateBobbinCount(tx, form.id, form.count, form.version))
      ? done({ id: form.id })
      : conflict(MEANWHILE),
  );
