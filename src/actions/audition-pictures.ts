import sharp from 'sharp';
import { drawTechnique } from '@/core/audition/draw';
import { boundsOf, type MultiPolygon } from '@/core/geometry/polygon';
import { linesSvg } from '@/core/pattern/lay';
import { techniques } from '@/core/tables/techniques';
import { readAuditions, type AuditionSide } from '@/data/auditions';
import type { Sql } from '@/data/sql';
import type { Zone } from '@/data/types';

/** A picture in a letter is so wide, pixels. */
const WIDE_PX = 900;
/** Of many like pieces so many are drawn. */
const MOST_PIECES = 4;

/** One way in words: its technique and how far apart its lines are. */
const wayWords = ({ technique, spacingIn }: AuditionSide): string =>
  `${techniques.get(technique).label.toLowerCase()} about ${Number(spacingIn.toFixed(2))} in apart`;

type DrawnZone = Pick<Zone, 'id' | 'letter' | 'name' | 'geometry'>;

/** Zones of which two ways are shown to the client, in words. */
export async function waysOf(sql: Sql, quiltId: string, zones: readonly DrawnZone[]) {
  const kept = await readAuditions(sql, quiltId);
  return zones.flatMap((z) => {
    const sides = kept.get(z.id);
    return sides ? [{ zone: z.name, a: wayWords(sides[0]), b: wayWords(sides[1]) }] : [];
  });
}

async function picture(shape: MultiPolygon, side: AuditionSide): Promise<Buffer> {
  const { lines } = drawTechnique({ shape, ...side });
  const { x0, y0, x1, y1 } = boundsOf(shape);
  const margin = 0.25;
  const svg = linesSvg(lines, [x0 - margin, y0 - margin], x1 - x0 + 2 * margin, y1 - y0 + 2 * margin);
  return sharp(Buffer.from(svg), { density: Math.max(1, Math.round(WIDE_PX / (x1 - x0 + 2 * margin))) })
    .resize({ width: WIDE_PX })
    .flatten({ background: '#ffffff' })
    .png()
    .toBuffer();
}

/** The two ways of every zone that shows them, as pictures for a letter. */
export async function wayPictures(
  sql: Sql,
  quiltId: string,
  zones: readonly DrawnZone[],
): Promise<{ filename: string; content: Buffer; contentType: string }[]> {
  const kept = await readAuditions(sql, quiltId);
  const list = zones.flatMap((z) => (kept.get(z.id) ?? []).map((side, i) => ({ z, side, name: 'AB'[i]! })));
  return Promise.all(
    list.map(async ({ z, side, name }) => ({
      filename: `${z.name.replace(/[^\w]+/gu, '-').toLowerCase()}-way-${name}.png`,
      content: await picture(z.geometry.slice(0, MOST_PIECES), side),
      contentType: 'image/png',
    })),
  );
}
