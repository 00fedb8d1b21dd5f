import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray } from 'class-validator';
import { v7 as uuidv7 } from 'uuid';
import { fabrics } from '@/core/tables/fabrics';
import { insertFabric } from '@/data/cloths';
import { readZones, recolourZone, repointCloth } from '@/data/zones';
import { lockQuilt, readQuilt } from '@/data/quilts';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { EachOf, FormKey, Hex, Id, Maybe, Num, OneOf, QuiltId, Text, Version, Whole } from './rules';
import { MEANWHILE, save } from './save';

const GONE = 'This zone is no longer on the quilt. Reload the page.';

class SeenColour {
  @Hex() hex!: string;
  @Num(0.001, 1, 'The share of the zone') share!: number;
  @Maybe() @Whole(0, 3, 'How busy it is') busyness?: number | null;
}

export class RecolourZone {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Id('Pick a zone first.') zoneId!: string;
  @Version() version!: number;
  /** One for each cloth of the zone, in its order. */
  @IsArray({ message: 'The colours could not be read.' })
  @ArrayMinSize(1, { message: 'Give each fabric a colour.' })
  @ArrayMaxSize(12, { message: 'A zone has at most twelve fabrics.' })
  @EachOf(() => SeenColour)
  colours!: SeenColour[];
}

/** Gives the cloths of a zone the colours seen on a photograph or a swatch, and their shares of its area. */
export const recolour = (context: Context, input: unknown): Promise<Result<{ colours: number }>> =>
  save<RecolourZone, { colours: number }>(context, 'recolour-zone', RecolourZone, input, async (tx, form) => {
    await lockQuilt(tx, form.quiltId);
    const zone = (await readZones(tx, form.quiltId)).find((z) => z.id === form.zoneId);
    if (!zone) return refuse(GONE, 'zoneId');
    if (zone.version !== form.version) return conflict(MEANWHILE);
    if (zone.fabrics.length !== form.colours.length)
      return refuse(`This zone has ${zone.fabrics.length} fabrics: give each a colour.`, 'colours');
    const sum = form.colours.reduce((s, c) => s + c.share, 0);
    await recolourZone(
      tx,
      zone.id,
      form.colours.map((c) => ({
        hex: c.hex.toLowerCase(),
        share: c.share / sum,
        busyness: c.busyness ?? null,
      })),
    );
    return done({ colours: form.colours.length });
  });

export class NameCloth {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Id('Pick a zone first.') zoneId!: string;
  @Whole(0, 11, 'The fabric') position!: number;
  @Version() version!: number;
  @OneOf(fabrics.ids.filter((id) => id !== 'unknown'), 'Pick the kind it is most like.')
  kind!: string;
  /** How it was described, kept with the cloth. */
  @Text(500) described!: string;
}

/**
 * An unknown cloth is found to be most like a known kind: the studio keeps a cloth of its own of that kind, with
 * the description, and the zone lies on it. The shipped “unknown” stays what it is.
 */
export const nameCloth = (context: Context, input: unknown): Promise<Result<{ fabricId: string }>> =>
  save<NameCloth, { fabricId: string }>(
    context,
    'name-cloth',
    NameCloth,
    input,
    async (tx, form) => {
      await lockQuilt(tx, form.quiltId);
      const zone = (await readZones(tx, form.quiltId)).find((z) => z.id === form.zoneId);
      const cloth = zone?.fabrics[form.position];
      if (!zone || !cloth) return refuse(GONE, 'zoneId');
      if (zone.version !== form.version) return conflict(MEANWHILE);
      const id = uuidv7();
      const quilt = await readQuilt(tx, form.quiltId);
      await insertFabric(tx, id, {
        name: `${cloth.name}, ${quilt!.name} ${zone.letter}`.slice(0, 120),
        kind: form.kind,
        hex: cloth.hex,
        notes: form.described.trim(),
      });
      await repointCloth(tx, zone.id, form.position, id);
      return done({ fabricId: id });
    },
    { fabric_name_key: ['kind', 'A fabric of this name is kept already: pick it at Take in.'] },
  );
