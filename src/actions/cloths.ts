import { v7 as uuidv7 } from 'uuid';
import { battings } from '@/core/tables/battings';
import { fabrics } from '@/core/tables/fabrics';
import { insertBatting, insertFabric, setClothArchived, updateBatting, updateFabric } from '@/data/cloths';
import { insertRuler, updateRuler } from '@/data/rulers';
import type { Ruler } from '@/data/types';
import { conflict, done, refuse, type Result } from './result';
import { FormKey, Hex, Id, Maybe, Num, OneOf, Text, Version, Words, Yes } from './rules';
import { MEANWHILE, type Meanings, save } from './save';

class Kept {
  @FormKey() key!: string;
  /** Left out for a new one. */
  @Maybe() @Id('This is not known any more. Reload the page.') id?: string | null;
  @Version() version!: number;
  @Words(120, 'Give it a name.') name!: string;
  @Text(2000) notes!: string;
}

export class KeepFabric extends Kept {
  @OneOf(fabrics.ids, 'Pick the kind it is most like; “unknown” is a proper choice.') kind!: string;
  @Maybe() @Hex() hex?: string | null;
}

export class KeepBatting extends Kept {
  @OneOf(battings.ids, 'Pick the kind; “unknown” is a proper choice, and the cautious one.') kind!: string;
  @Maybe() @Num(0.1, 60, 'Loft, mm,') loftMm?: number | null;
  @Maybe() @Num(0.1, 24, 'The widest gap, in inches,') maxGapIn?: number | null;
  @Text(120) ratingText!: string;
  @Maybe() @Num(0, 30, 'Shrinkage, per cent,') shrinkPct?: number | null;
}

export const RULER_SHAPES = ['straight', 'arc', 'circle', 'template'] as const;
export class KeepRuler extends Kept {
  @OneOf(RULER_SHAPES, 'Pick its shape.') shape!: Ruler['shape'];
  @Num(0.1, 30, 'Thickness, mm,') thicknessMm!: number;
  @Maybe() @Num(0.01, 200, 'The radius, in inches,') radiusIn?: number | null;
}

const NAMES: Meanings = Object.fromEntries(
  ['fabric', 'batting', 'ruler'].map((t) => [`${t}_name_key`, ['name', 'Another already has this name.']]),
);

type Store<F> = {
  insert(tx: Parameters<Parameters<typeof save>[3]>[0], id: string, form: F): Promise<unknown>;
  update(
    tx: Parameters<Parameters<typeof save>[3]>[0],
    id: string,
    form: F,
    version: number,
  ): Promise<boolean>;
};

/** Adds a new one, or changes one that is still as it was seen. */
const keep = <F extends Kept>(
  action: string,
  rules: new () => F,
  input: unknown,
  store: Store<F>,
  sound: (form: F) => Result<unknown> = () => done(null),
): Promise<Result<{ id: string }>> =>
  save<F, { id: string }>(
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

const fabricOf = (f: KeepFabric) => ({
  name: f.name.trim(),
  kind: f.kind,
  hex: f.hex?.toLowerCase() ?? null,
  notes: f.notes.trim(),
});
export const keepFabric = (input: unknown) =>
  keep('keep-fabric', KeepFabric, input, {
    insert: (tx, id, f) => insertFabric(tx, id, fabricOf(f)),
    update: (tx, id, f, version) => updateFabric(tx, id, fabricOf(f), version),
  });

const battingOf = (b: KeepBatting) => ({
  name: b.name.trim(),
  kind: b.kind,
  loftMm: b.loftMm ?? null,
  maxGapIn: b.maxGapIn ?? null,
  ratingText: b.ratingText.trim(),
  shrinkPct: b.shrinkPct ?? null,
  notes: b.notes.trim(),
});
export const keepBatting = (input: unknown) =>
  keep('keep-batting', KeepBatting, input, {
    insert: (tx, id, b) => insertBatting(tx, id, battingOf(b)),
    update: (tx, id, b, version) => updateBatting(tx, id, battingOf(b), version),
  });

const rulerOf = (r: KeepRuler) => ({
  name: r.name.trim(),
  shape: r.shape,
  thicknessMm: r.thicknessMm,
  radiusIn: r.radiusIn ?? null,
  notes: r.notes.trim(),
});
export const keepRuler = (input: unknown) =>
  keep(
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

export class PutAway {
  @FormKey() key!: string;
  @Id('This is not known any more. Reload the page.') id!: string;
  @OneOf(['fabric', 'batting', 'ruler'], 'Say what to put away.') what!: 'fabric' | 'batting' | 'ruler';
  @Yes() away!: boolean;
}

/** Puts a cloth or ruler away, or takes it out again; quilts that use it keep it. */
export const putAway = (input: unknown): Promise<Result<{ id: string }>> =>
  save<PutAway, { id: string }>('put-away', PutAway, input, async (tx, form) => {
    await setClothArchived(tx, form.what, form.id, form.away);
    return done({ id: form.id });
  });
