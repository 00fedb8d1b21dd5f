import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray } from 'class-validator';
import { v7 as uuidv7 } from 'uuid';
import { mapProblem } from '@/core/geometry/edit';
import { MOST } from '@/core/geometry/limits';
import { areaOf, type MultiPolygon } from '@/core/geometry/polygon';
import { spacingFor } from '@/core/density/spacing-for';
import { letterOf } from '@/core/plan/letters';
import { techniques } from '@/core/tables/techniques';
import { readFabrics } from '@/data/cloths';
import { lockQuilt, readQuilt, touchMap } from '@/data/quilts';
import { copyZone, insertZone, retireZones, placeZone, readZones } from '@/data/zones';
import type { Zone } from '@/data/types';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { EachOf, FormKey, Maybe, QuiltId, Text, Version, Words } from './rules';
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
  @EachOf(() => PlacedZone)
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

/** The length of lines along seams, where one was given: it goes with the area, cut or merged. To the tenth of an inch. */
const lengthOf = (z: Pick<Zone, 'lengthIn' | 'geometry'>, now: MultiPolygon): number | null => {
  if (z.lengthIn === null) return null;
  const share = areaOf(now) / areaOf(z.geometry);
  return Math.abs(share - 1) < 0.002 ? z.lengthIn : Math.max(0.1, Math.round(z.lengthIn * share * 10) / 10);
};

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
      const like = before.get(z.id) ?? (z.from ? before.get(z.from) : undefined);
      const laid = {
        letter: letterOf(i),
        name: z.name.trim(),
        geometry: z.geometry,
        lengthIn: like ? lengthOf(like, z.geometry) : null,
      };
      if (before.has(z.id)) await placeZone(tx, { ...laid, id: z.id });
      else if (like) await copyZone(tx, like.id, { ...laid, id: uuidv7() });
      else {
        const t = techniques.get('meander-medium');
        await insertZone(tx, {
          ...laid,
          id: uuidv7(),
          quiltId: quilt.id,
          technique: t.id,
          spacingIn: spacingFor(t, z.geometry),
          visibility: 'texture',
          features: [],
          fabrics: [
            { fabricId: cotton!.id, hex: null, share: 1, role: 'ground', sewnOver: true, busyness: null },
          ],
        });
      }
    }
    await touchMap(tx, quilt.id);
    return done({ zones: form.zones.length });
  });
