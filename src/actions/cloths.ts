import { v7 as uuidv7 } from 'uuid';
import { BATTING, FABRIC } from '@/core/fields/cloth';
import { AWAY_KINDS, type AwayKind, type RulerShape } from '@/core/fields/lists';
import { RULER } from '@/core/fields/ruler';
import { YARN } from '@/core/fields/yarn';
import { stored } from '@/core/fields/stored';
import { insertBatting, insertFabric, setClothArchived, updateBatting, updateFabric } from '@/data/cloths';
import { insertYarn, updateYarn } from '@/data/yarns';
import { insertRuler, updateRuler } from '@/data/rulers';
import type { Sql } from '@/data/sql';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { Fields, FormKey, Id, Maybe, OneOf, Version, Yes } from './rules';
import { MEANWHILE, type Meanings, save } from './save';

class Kept {
  @FormKey() key!: string;
  /** Left out for a new one. */
  @Maybe() @Id('This is not known any more. Reload the page.') id?: string | null;
  @Version() version!: number;
}

@Fields(FABRIC)
export class KeepFabric extends Kept {}

@Fields(BATTING)
export class KeepBatting extends Kept {}

@Fields(RULER)
export class KeepRuler extends Kept {
  shape!: RulerShape;
  radiusIn?: number | null;
}

@Fields(YARN)
export class KeepYarn extends Kept {}

const NAMES: Meanings = Object.fromEntries(
  AWAY_KINDS.map((t) => [`${t}_name_key`, ['name', 'Another already has this name.']]),
);

type Store<F> = {
  insert(tx: Sql, id: string, form: F): PromiseLike<unknown>;
  update(tx: Sql, id: string, form: F, version: number): Promise<boolean>;
};

/** Adds a new one, or changes one that is still as it was seen. */
const keep = <F extends Kept>(
  context: Context,
  action: string,
  rules: new () => F,
  input: unknown,
  store: Store<F>,
  sound: (form: F) => Result<unknown> = () => done(null),
): Promise<Result<{ id: string }>> =>
  save<F, { id: string }>(
    context,
    action,
    rules,
    input,
    async (tx, form) => {
      const checked = sound(form);
      if (!checked.ok) return checked;
      if (!form.id) {
        const id = uuidv7();
        await store.insert(tx, id, form);
        return done({ id });
      }
      return (await store.update(tx, form.id, form, form.version))
        ? done({ id: form.id })
        : conflict(MEANWHILE);
    },
    NAMES,
  );

const fabricOf = (f: KeepFabric) => stored(FABRIC, f);
export const keepFabric = (context: Context, input: unknown) =>
  keep(context, 'keep-fabric', KeepFabric, input, {
    insert: (tx, id, f) => insertFabric(tx, id, fabricOf(f)),
    update: (tx, id, f, version) => updateFabric(tx, id, fabricOf(f), version),
  });

const battingOf = (b: KeepBatting) => stored(BATTING, b);
export const keepBatting = (context: Context, input: unknown) =>
  keep(context, 'keep-batting', KeepBatting, input, {
    insert: (tx, id, b) => insertBatting(tx, id, battingOf(b)),
    update: (tx, id, b, version) => updateBatting(tx, id, battingOf(b), version),
  });

const rulerOf = (r: KeepRuler) => stored(RULER, r);
export const keepRuler = (context: Context, input: unknown) =>
  keep(
    context,
    'keep-ruler',
    KeepRuler,
    input,
    {
      insert: (tx, id, r) => insertRuler(tx, id, rulerOf(r)),
      update: (tx, id, r, version) => updateRuler(tx, id, rulerOf(r), version),
    },
    (r) =>
      (r.shape === 'arc' || r.shape === 'circle') && r.radiusIn == null
        ? refuse('An arc or a circle needs its radius.', 'radiusIn')
        : done(null),
  );

const yarnOf = (y: KeepYarn) => stored(YARN, y);
export const keepYarn = (context: Context, input: unknown) =>
  keep(context, 'keep-yarn', KeepYarn, input, {
    insert: (tx, id, y) => insertYarn(tx, id, yarnOf(y)),
    update: (tx, id, y, version) => updateYarn(tx, id, yarnOf(y), version),
  });

export class PutAway {
  @FormKey() key!: string;
  @Id('This is not known any more. Reload the page.') id!: string;
  @OneOf(AWAY_KINDS, 'Say what to put away.') what!: AwayKind;
  @Yes() away!: boolean;
}

/** Puts a cloth or ruler away, or takes it out again; quilts that use it keep it. */
export const putAway = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<PutAway, { id: string }>(context, 'put-away', PutAway, input, async (tx, form) => {
    return (await setClothArchived(tx, form.what, form.id, form.away))
      ? done({ id: form.id })
      : refuse('This is not one of your own, or not here any more. Reload the page.', 'id');
  });
