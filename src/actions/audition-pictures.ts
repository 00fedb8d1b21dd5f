import sharp from 'sharp';
import { drawWay, type Way } from '@/core/audition/way';
import { PATTERNED } from '@/core/pattern/lay';
import { boundsOf, type MultiPolygon } from '@/core/geometry/polygon';
import { linesSvg } from '@/core/pattern/lay';
import { techniques } from '@/core/tables/techniques';
import { readAuditions } from '@/data/auditions';
import { readPattern, type StudioPattern } from '@/data/patterns';
import type { Sql } from '@/data/sql';
import type { Zone } from '@/data/types';

/** A picture in a letter is so wide, pixels. */
const WIDE_PX = 900;
/** Of many like pieces so many are drawn. */
const MOST_PIECES = 4;

const inch = (n: number) => `${Number(n.toFixed(2))} in`;

/** One way in words: its technique and how far apart its lines are, or the pattern and how wide a repeat is. */
const wayWords = ({ technique, spacingIn }: Way, pattern: StudioPattern | null): string =>
  technique === PATTERNED
    ? `the pattern “${pattern?.name ?? 'no longer kept'}”, each repeat ${inch(spacingIn)} wide`
    : `${techniques.get(technique).label.toLowerCase()} about ${inch(spacingIn)} apart`;

const patternOf = async (sql: Sql, { patternId }: Way): Promise<StudioPattern | null> =>
  patternId ? readPattern(sql, patternId) : null;

type DrawnZone = Pick<Zone, 'id' | 'letter' | 'name' | 'geometry'>;

/** Zones of which two ways are shown to the client, in words. */
export async function waysOf(sql: Sql, quiltId: string, zones: readonly DrawnZone[]) {
  const kept = await readAuditions(sql, quiltId);
  const shown = zones.filter((z) => kept.has(z.id));
  return Promise.all(
    shown.map(async (z) => {
      const words = async (side: Way) => wayWords(side, await patternOf(sql, side));
      const [a, b] = kept.get(z.id)!;
      return { zone: z.name, a: await words(a), b: await words(b) };
    }),
  );
}

async function picture(shape: MultiPolygon, side: Way, pattern: StudioPattern | null): Promise<Buffer> {
  const { lines } = drawWay({ shape, ...side, unit: pattern?.unit });
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
  const patterns = await Promise.all(list.map(({ side }) => patternOf(sql, side)));
  // A pattern that is kept no longer cannot be drawn.
  const drawn = list.flatMap((l, i) =>
    l.side.technique === PATTERNED && !patterns[i] ? [] : [{ ...l, pattern: patterns[i]! }],
  );
  return Promise.all(
    drawn.map(async ({ z, side, name, pattern }) => ({
      filename: `${z.name.replace(/[^\w]+/gu, '-').toLowerCase()}-way-${name}.png`,
      content: await picture(z.geometry.slice(0, MOST_PIECES), side, pattern),
      contentType: 'image/png',
    })),
  );
}
