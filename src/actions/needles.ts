import { v7 as uuidv7 } from 'uuid';
import { needleLife } from '@/core/needle/life';
import { NEEDLE } from '@/core/fields/needle';
import type { Eye, Point } from '@/core/tables/needles';
import { addStitches, fitNeedle, readFitted, updateStock, upsertNeedle } from '@/data/needles';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { Fields, FormKey, Id, Num, Version } from './rules';
import { MEANWHILE, save } from './save';

const KIND = NEEDLE.filter((f) => f.id !== 'stock');
const STOCK = NEEDLE.filter((f) => f.id === 'stock');

@Fields(KIND)
class NeedleForm {
  @FormKey() key!: string;
  nm!: number;
  eye!: Eye;
  point!: Point;
  coated!: boolean;
}

@Fields(STOCK)
export class KeepNeedles extends NeedleForm {
  stock!: number;
}

/** Says how many needles of a kind are in the drawer. */
export const keepNeedles = (context: Context, input: unknown): Promise<Result<{ nm: number }>> =>
  save<KeepNeedles, { nm: number }>(context, 'keep-needles', KeepNeedles, input, async (tx, form) => {
    await upsertNeedle(tx, uuidv7(), form);
    return done({ nm: form.nm });
  });

@Fields(STOCK)
export class CountNeedles {
  @FormKey() key!: string;
  @Id('These needles are not known. Reload the page.') id!: string;
  @Version() version!: number;
  stock!: number;
}

export const countNeedles = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<CountNeedles, { id: string }>(context, 'count-needles', CountNeedles, input, async (tx, form) =>
    (await updateStock(tx, form.id, form.stock, form.version)) ? done({ id: form.id }) : conflict(MEANWHILE),
  );

export class ChangeNeedle extends NeedleForm {
  @Id('Pick the machine.') machineId!: string;
}

/** A new needle from the drawer into a machine; its stitches count from nothing. */
export const changeNeedle = (context: Context, input: unknown): Promise<Result<{ nm: number }>> =>
  save<ChangeNeedle, { nm: number }>(context, 'change-needle', ChangeNeedle, input, async (tx, form) =>
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
export const sewStitches = (context: Context, input: unknown): Promise<Result<{ stitches: number }>> =>
  save<SewStitches, { stitches: number }>(context, 'sew-stitches', SewStitches, input, async (tx, form) => {
    const fitted = (await readFitted(tx)).find((f) => f.machineId === form.machineId);
    if (!fitted) return refuse('No needle is in this machine yet. Fit one first.', 'machineId');
    await addStitches(tx, fitted.id, form.stitches, form.stitches);
    return done({ stitches: fitted.stitches + form.stitches });
  });
