import 'reflect-metadata';
import { v7 as uuidv7 } from 'uuid';
import { CONDITION, type ConditionFields } from '@/core/fields/quilt';
import { stored } from '@/core/fields/stored';
import { insertCondition, setConditionRemoved, updateCondition } from '@/data/conditions';
import { lockQuilt } from '@/data/quilts';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { asForm, Fields, FormKey, Id, Maybe, QuiltId, Version, Yes } from './rules';
import { MEANWHILE, save } from './save';

/** Something found on a quilt: noted, or said anew. */
@Fields(CONDITION)
export class KeepCondition {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  /** Nothing: a new one. */
  @Maybe() @Id('This is not on the list any more. Reload the page.') id?: string | null;
  @Maybe() @Version() version?: number | null;
  @Maybe() @Id('This photograph is not known.') photographId?: string | null;
}
type ConditionForm = KeepCondition & ConditionFields;

export const keepCondition = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<ConditionForm, { id: string }>(
    context,
    'keep-condition',
    asForm<ConditionForm>(KeepCondition),
    input,
    async (tx, form) => {
      const said = {
        ...stored(CONDITION, form),
        photographId: form.photographId ?? null,
      };
      if (!form.id) {
        const [quilt] = await lockQuilt(tx, form.quiltId);
        if (!quilt) return refuse('This quilt is not known. Go back to the Rack.', 'quiltId');
        const id = uuidv7();
        await insertCondition(tx, { ...said, id, quiltId: form.quiltId });
        return done({ id });
      }
      return (await updateCondition(tx, { ...said, id: form.id, version: form.version ?? 0 }))
        ? done({ id: form.id })
        : conflict(MEANWHILE);
    },
    {
      condition_photograph_id_fkey: ['photographId', 'This photograph is not known.'],
      condition_n_check: ['kind', 'At most two hundred things on one quilt.'],
    },
  );

export class RemoveCondition {
  @FormKey() key!: string;
  @Id('This is not on the list any more. Reload the page.') id!: string;
  /** False: it is put back. */
  @Yes() removed!: boolean;
}

/** Takes a thing off the list, or puts it back. */
export const removeCondition = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<RemoveCondition, { id: string }>(
    context,
    'remove-condition',
    RemoveCondition,
    input,
    async (tx, form) =>
      (await setConditionRemoved(tx, form.id, form.removed))
        ? done({ id: form.id })
        : refuse('This is not on the list any more. Reload the page.', 'id'),
  );
