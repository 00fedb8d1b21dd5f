import 'reflect-metadata';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, ValidateNested } from 'class-validator';
import { v7 as uuidv7 } from 'uuid';
import { mapProblem } from '@/core/geometry/edit';
import { MOST } from '@/core/geometry/limits';
import type { MultiPolygon } from '@/core/geometry/polygon';
import { letterOf } from '@/core/plan/letters';
import { techniques } from '@/core/tables/techniques';
import { readFabrics } from '@/data/cloths';
import { lockQuilt, readQuilt, touchMap } from '@/data/quilts';
import { insertZone, retireZones, placeZone, readZones } from '@/data/zones';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { FormKey, Maybe, QuiltId, Text, Version, Words } from './rules';
import { MEANWHILE, save } from './save';

class PlacedZone {
  @Text(60) id!: string;
  @Words(120, 'Give the zone a name.') name!: string;
  @Maybe() @Text(60) from?: string;
  @IsArray({ message: 'A zone has no shape.' })
  @ArrayMinSize(1, { message: 'A zone has no shape.' })
  geometry!: MultiPolygon;
}

export class SaveMap {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Version() version!: number;
  @IsArray({ message: 'The map has no zones.' })
  @ArrayMinSize(1, { message: 'A quilt has at least one zone.' })
  @ArrayMaxSize(MOST.zones, { message: `At most ${MOST.zones} zones on a map.` })
  @ValidateNested({ each: true })
  @Type(() => PlacedZone)
  zones!: PlacedZone[];
}

const soundShape = (shape: unknown): shape is MultiPolygon =>
  Array.isArray(shape) &&
  shape.every(
    (p) =>
      Array.isArray(p) &&
      p.length > 0 &&
      p.every(
        (ring) =>
          Array.isArray(ring) &&
          ring.length >= 3 &&
          ring.every(
            (pt) =>
              Array.isArray(pt) &&
              pt.length === 2 &&
              pt.every((n) => Number.isFinite(n) && Math.abs(n as number) < 1000),
          ),
      ),
  );

/** Lays a quilt's zones anew: they must cover it once and only once. Zones that leave the map keep their cards. */
export const saveMap = (context: Context, input: unknown): Promise<Result<{ zones: number }>> =>
  save<SaveMap, { zones: number }>(context, 'save-map', SaveMap, input, async (tx, form) => {
    await lockQuilt(tx, form.quiltId);
    const quilt = await readQuilt(tx, form.quiltId);
    if (!quilt) return refuse('This quilt is not known. Go back to the Rack.', 'quiltId');
    if (quilt.version !== form.version) return conflict(MEANWHILE);
    const bad = form.zones.findIndex((z) => !soundShape(z.geometry));
    if (bad >= 0)
      return refuse(`The shape of “${form.zones[bad]!.name}” could not be read.`, `zones.${bad}.geometry`);
    const problem = mapProblem(form.zones, quilt);
    if (problem) return refuse(problem, 'zones');
    const before = new Map((await readZones(tx, quilt.id)).map((z) => [z.id, z]));
    const [cotton] = await readFabrics(tx);
    await retireZones(tx, quilt.id);
    for (const [i, z] of form.zones.entries()) {
      const letter = letterOf(i);
      if (before.has(z.id)) {
        await placeZone(tx, z.id, letter, z.name.trim(), z.geometry);
        continue;
      }
      const like = z.from ? before.get(z.from) : undefined;
      const t = techniques.get(like?.technique ?? 'meander-medium');
      await insertZone(tx, {
        id: uuidv7(),
        quiltId: quilt.id,
        letter,
        name: z.name.trim(),
        geometry: z.geometry,
        technique: t.id,
        spacingIn: like?.spacingIn ?? t.usualSpacingIn,
        smallestRadiusIn: like?.smallestRadiusIn ?? null,
        lengthIn: null,
        visibility: like?.visibility ?? 'texture',
        features: like?.features ?? [],
        fabrics: like?.fabrics ?? [
          { fabricId: cotton!.id, hex: null, share: 1, role: 'ground', sewnOver: true, busyness: null },
        ],
      });
    }
    await touchMap(tx, quilt.id);
    return done({ zones: form.zones.length });
  });
