import 'reflect-metadata';
import { ArrayMaxSize, IsArray } from 'class-validator';
import { PREPARED, type PreparedFields } from '@/core/fields/quilt';
import { inHand, strictestIn } from '@/core/backing/in-hand';
import { battingNamed } from '@/core/backing/batting-named';
import { readPieces } from '@/core/backing/read-pieces';
import { fabrics } from '@/core/tables/fabrics';
import { readBattings } from '@/data/cloths';
import { readQuilt } from '@/data/quilts';
import type { Sql } from '@/data/sql';
import { writePrepared } from '@/data/prepared';
import type { Prepared } from '@/data/types';
import type { Preferences, Quilt } from '@/data/types';
import type { Context } from './context';
import { conflict, done, type Result } from './result';
import { asForm, EachId, Fields, FormKey, QuiltId, Version } from './rules';
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
type PreparedForm = KeepPrepared & PreparedFields;

export const keepPrepared = (context: Context, input: unknown): Promise<Result<{ version: number }>> =>
  save<PreparedForm, { version: number }>(
    context,
    'keep-prepared',
    asForm<PreparedForm>(KeepPrepared),
    input,
    async (tx, { key: _, quiltId, version, layout, ...rest }) => {
      const kept = await writePrepared(tx, quiltId, version, {
        ...rest,
        panel: (rest.panel ?? '').trim(),
        joinedGapIn: await joinedGap(tx, quiltId, rest),
        battingHere: (rest.battingHere ?? '').trim(),
        backingHere: (rest.backingHere ?? '').trim(),
        layout: layout ?? null,
      });
      return kept === null ? conflict(MEANWHILE) : done({ version: kept });
    },
    { prepared_quilt_id_fkey: ['quiltId', 'This quilt is not known. Go back to the Rack.'] },
  );

/** The strictest distance of battings that have to be joined; null where one piece is enough, or none can be read. */
async function joinedGap(
  tx: Sql,
  quiltId: string,
  { battingHere, marginIn }: Pick<PreparedFields, 'battingHere' | 'marginIn'>,
): Promise<number | null> {
  const pieces = readPieces(battingHere ?? '');
  const quilt = pieces && pieces.length > 1 ? await readQuilt(tx, quiltId) : null;
  if (!quilt) return null;
  const { joined } = inHand(quilt, marginIn, pieces!);
  if (!joined) return null;
  const battings = await readBattings(tx);
  const own = battings.find((b) => b.id === quilt.battingId);
  const kinds = joined.indexes.map((i) => battingNamed(pieces![i]!.name, battings) ?? own);
  return strictestIn(kinds.flatMap((k) => (k ? [{ kind: k.kind, maxGapIn: k.maxGapIn }] : [])));
}

/** What a studio usually takes for a quilt's backing and binding, until something is chosen. */
export function usualOf(
  quilt: Pick<Quilt, 'backingClothIn' | 'backingKind' | 'prewash'>,
  { marginIn, testMarginIn, prewashSchool }: Pick<Preferences, 'marginIn' | 'testMarginIn' | 'prewashSchool'>,
): Omit<Prepared, 'version'> {
  const cloth = fabrics.get(quilt.backingKind);
  return {
    clothIn: quilt.backingClothIn ?? (quilt.backingKind === 'sateen-wide' ? WIDE_IN : USUAL_IN),
    marginIn,
    testMarginIn,
    prewash:
      quilt.prewash ||
      prewashSchool === 'always' ||
      (prewashSchool !== 'never' && quilt.backingKind === 'flannel'),
    shrinkPct: cloth.shrinkPct,
    stretch: cloth.stretch >= 2,
    nap: ['plush', 'velvet', 'fleece'].includes(quilt.backingKind),
    stripIn: STRIP_IN,
    battingHere: '',
    backingHere: '',
    panel: '',
    joinedGapIn: null,
    layout: null,
    withQuilts: [],
  };
}
const WIDE_IN = 108;
const USUAL_IN = 44;
const STRIP_IN = 2.5;
