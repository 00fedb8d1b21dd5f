import 'reflect-metadata';
import { ArrayMaxSize, IsArray } from 'class-validator';
import { PREPARED, type PreparedFields } from '@/core/fields/quilt';
import { writePrepared } from '@/data/prepared';
import type { Context } from './context';
import { conflict, done, type Result } from './result';
import { EachId, Fields, FormKey, QuiltId, Version } from './rules';
import { MEANWHILE, save } from './save';

/** What is chosen on the page of backing and binding. */
@Fields(PREPARED)
export class KeepPrepared {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Version() version!: number;
  @IsArray({ message: 'Which quilts share it could not be read.' })
  @ArrayMaxSize(30, { message: 'At most thirty quilts on one backing.' })
  @EachId('A quilt that shares it is not known.')
  withQuilts!: string[];
}
export interface KeepPrepared extends PreparedFields {}

export const keepPrepared = (context: Context, input: unknown): Promise<Result<{ version: number }>> =>
  save<KeepPrepared, { version: number }>(
    context,
    'keep-prepared',
    KeepPrepared,
    input,
    async (tx, { key: _, quiltId, version, layout, ...rest }) => {
      const kept = await writePrepared(tx, quiltId, version, { ...rest, layout: layout ?? null });
      return kept === null ? conflict(MEANWHILE) : done({ version: kept });
    },
    { prepared_quilt_id_fkey: ['quiltId', 'This quilt is not known. Go back to the Rack.'] },
  );
