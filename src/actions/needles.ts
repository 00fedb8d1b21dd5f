import { v7 as uuidv7 } from 'uuid';
import { needleLife } from '@/core/needle/life';
import { EYES, type Eye, NEEDLE_SIZES, type Point, POINTS } from '@/core/tables/needles';
import { addStitches, fitNeedle, readFitted, updateStock, upsertNeedle } from '@/data/needles';
import { conflict, done, refuse, type Result } from './result';
import { FormKey, Id, Num, OneOf, Version, Whole, Yes } from './rules';
import { MEANWHILE, save } from './save';

const SIZES = NEEDLE_SIZES.map((s) => s.nm);

class NeedleForm {
  @FormKey() key!: string;
  @OneOf(SIZES, `There is no such needle. Sizes: ${SIZES.join(', ')}.`) nm!: number;
  @OneOf(EYES, 'Standard or large eye.') eye!: Eye;
  @OneOf(POINTS, 'Pick the point.') point!: Point;
  @Yes() coated!: boolean;
}

export class KeepNeedles extends NeedleForm {
  @Whole(0, 10_000, 'The number of needles') stock!: number;
}

/** Says how many needles of a kind are in the drawer. */
export const keepNeedles = (input: unknown): Promise<Result<{ nm: number }>> =>
  save<KeepNeedles, { nm: number }>('keep-needles', KeepNeedles, input, async (tx, form) => {
    await upsertNeedle(tx, uuidv7(), form);
    return done({ nm: form.nm });
  });

export class CountNeedles {
  @FormKey() key!: string;
  @Id('These needles are not known. Reload the page.') id!: string;
  @Version() version!: number;
  @Whole(0, 10_000, 'The number of needles') stock!: number;
}

export const countNeedles = (input: unknown): Promise<Result<{ id: string }>> =>
  save<CountNeedles, { id: string }>('count-needles', CountNeedles, input, async (tx, form) =>
    (await updateStock(tx, form.id, form.stock, form.version)) ? done({ id: form.id }) : conflict(MEANWHILE),
  );

export class ChangeNeedle extends NeedleForm {
  @Id('Pick the machine.') machineId!: string;
}

/** A new needle from the drawer into a machine; its stitches count from nothing. */
export const changeNeedle = (input: unknown): Promise<Result<{ nm: number }>> =>
  save<ChangeNeedle, { nm: number }>('change-needle', ChangeNeedle, input, async (tx, form) =>
    (await fitNeedle(tx, uuidv7(), form.machineId, form, needleLife([], form.coated)))
      ? done({ nm: form.nm })
      : refuse(`No Nm ${form.nm} ${form.point} needle is left in the drawer.`, 'nm'),
  );

export class SewStitches {
  @FormKey() key!: string;
  @Id('Pick the machine.') machineId!: string;
  @Num(-10_000_000, 10_000_000, 'Stitches') stitches!: number;
}

/** Adds stitches sewn (or takes back a slip) to the needle in a machine. */
export const sewStitches = (input: unknown): Promise<Result<{ stitches: number }>> =>
  save<SewStitches, { stitches: number }>('sew-stitches', SewStitches, input, async (tx, form) => {
    const fitted = (await readFitted(tx)).find((f) => f.machineId === form.machineId);
    if (!fitted) return refuse('No needle is in this machine yet. Fit one first.', 'machineId');
    await addStitches(tx, fitted.id, form.stitches);
    return done({ stitches: fitted.stitches + form.stitches });
  });
