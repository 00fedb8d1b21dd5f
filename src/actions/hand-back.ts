import 'reflect-metadata';
import { format } from 'date-fns';
import { CAME_OUT, type CameOut, type Waived, WAIVED } from '@/core/fields/hand-back';
import { stored } from '@/core/fields/stored';
import { cameTo } from '@/core/hand-back/came-to';
import { type HandBackOf, readHandBack, readSewnOf, writeHandBack } from '@/data/hand-back';
import { setHandedBack, setOnFrame } from '@/data/quilts';
import type { Sql } from '@/data/sql';
import type { Context } from './context';
import { readPlan } from './plan';
import { type QuiltView, readQuiltView } from './quilt-view';
import { conflict, done, refuse, type Result } from './result';
import { asForm, Fields, FormKey, OneOf, QuiltId, Version, Yes } from './rules';
import { MEANWHILE, save } from './save';

/** What is ticked on the way home, in its order, and where it is kept. */
export const HAND_BACK_ACTS = ['off', 'trimmed', 'top', 'back', 'washed'] as const;
export type HandBackAct = (typeof HAND_BACK_ACTS)[number];
const KEPT_AS = {
  off: 'offFrameAt',
  trimmed: 'trimmedAt',
  top: 'topSeenAt',
  back: 'backSeenAt',
  washed: 'washedAt',
} as const satisfies Record<HandBackAct, keyof HandBackOf>;
/** When each was done; null where it is not. */
export const doneAt = (h: HandBackOf, act: HandBackAct): Date | null => h[KEPT_AS[act]];

const NOT_KNOWN = 'This quilt is not known. Go back to the Rack.';

export class MarkHandBack {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Version() version!: number;
  @OneOf(HAND_BACK_ACTS, 'Say what is done.') act!: HandBackAct;
  @Yes() done!: boolean;
}

/** Ticks what is done on the way home, or takes the tick back. Off the frame is off the frame everywhere. */
export const markHandBack = (context: Context, input: unknown): Promise<Result<{ version: number }>> =>
  save<MarkHandBack, { version: number }>(
    context,
    'mark-hand-back',
    MarkHandBack,
    input,
    async (tx, form) => {
      const now = await readHandBack(tx, form.quiltId);
      const next = { ...now, [KEPT_AS[form.act]]: form.done ? context.now : null };
      if (!(await writeHandBack(tx, form.quiltId, form.version, next))) return conflict(MEANWHILE);
      if (form.act === 'off' && form.done) await setOnFrame(tx, form.quiltId, false);
      return done({ version: form.version + 1 });
    },
  );

@Fields(CAME_OUT)
export class MeasureHandBack {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Version() version!: number;
}
type MeasureForm = MeasureHandBack & CameOut;

/** Keeps how a quilt came out: three widths, three lengths, and a word for the next one like it. */
export const measureHandBack = (context: Context, input: unknown): Promise<Result<{ version: number }>> =>
  save<MeasureForm, { version: number }>(
    context,
    'measure-hand-back',
    asForm<MeasureForm>(MeasureHandBack),
    input,
    async (tx, form) => {
      const now = await readHandBack(tx, form.quiltId);
      const next = { ...now, ...stored(CAME_OUT, form) };
      return (await writeHandBack(tx, form.quiltId, form.version, next))
        ? done({ version: form.version + 1 })
        : conflict(MEANWHILE);
    },
  );

@Fields(WAIVED)
export class HandBack {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Version() version!: number;
  @Yes() home!: boolean;
}
type HomeForm = HandBack & Partial<Waived>;

/**
 * A quilt goes home: it leaves Rack and calendar and stays found; or it is brought back. The mend list must be clear, or
 * someone answers for it by name. What it came to against its plan is kept as it stands that day.
 */
export const handBack = (context: Context, input: unknown): Promise<Result<{ version: number }>> =>
  save<HomeForm, { version: number }>(
    context,
    'hand-back',
    asForm<HomeForm>(HandBack),
    input,
    async (tx, form) => {
      const view = await readQuiltView(tx, form.quiltId, 'its cards');
      if (!view) return refuse(NOT_KNOWN, 'quiltId');
      if (form.home) {
        const refused = await goesHome(tx, view, form);
        if (refused) return refused;
      }
      const on = form.home ? format(context.now, 'yyyy-MM-dd') : null;
      return (await setHandedBack(tx, form.quiltId, form.version, on))
        ? done({ version: form.version + 1 })
        : conflict(MEANWHILE);
    },
    {
      mend_list_clear: [
        'waivedBy',
        'A fault is open on it: mend it, accept it with a word, or let it go by name.',
      ],
    },
  );

async function goesHome(tx: Sql, view: QuiltView, form: HomeForm): Promise<Result<never> | null> {
  const open = view.faults.filter((f) => f.status === 'open').length;
  const [by, why] = [(form.waivedBy ?? '').trim(), (form.waivedWhy ?? '').trim()];
  if (open > 0 && (!by || !why))
    return refuse(
      `${open === 1 ? 'One fault is' : `${open} faults are`} open on it. Mend or accept each, or say who lets it go so, and why.`,
      by ? 'waivedWhy' : 'waivedBy',
    );
  const now = await readHandBack(tx, form.quiltId);
  const kept = await writeHandBack(tx, form.quiltId, now.version, {
    ...now,
    waivedBy: open > 0 ? by : '',
    waivedWhy: open > 0 ? why : '',
    cameTo: await cameToOf(tx, view),
  });
  return kept ? null : conflict(MEANWHILE);
}

/** Hours, thread and faults of a quilt against its plan, as they stand now. */
export async function cameToOf(sql: Sql, view: QuiltView) {
  const [{ plan }, sewn] = await Promise.all([readPlan(sql, view), readSewnOf(sql, view.quilt.id)]);
  return cameTo(
    sewn.steps,
    plan.zones.reduce((sum, z) => sum + z.topM, 0),
    sewn.usedM,
    { n: view.faults.filter((f) => f.status !== 'harmless').length, minutesLost: sewn.minutesLost },
  );
}
