import { twinKey, TWIN_SD } from '@/core/tension/twins';
import type { ChosenSetup, Zone } from '@/data/types';

const keyOf = (zone: Zone, s: ChosenSetup) => twinKey({ ...zone, ...s });

/**
 * Cards as what their twins have shown makes them: a zone that is not tested begins where a tested zone with the same
 * threads, needle, layers and technique has ended.
 */
export function withTwins(
  zones: readonly Zone[],
  setups: ReadonlyMap<string, ChosenSetup>,
): Map<string, ChosenSetup> {
  const tested = new Map<string, { zone: Zone; setup: ChosenSetup }>();
  for (const zone of zones) {
    const setup = setups.get(zone.id);
    if (setup?.provenAt && setup.provenTopGf && setup.provenBobbinGf)
      tested.set(keyOf(zone, setup), { zone, setup });
  }
  return new Map(
    [...setups].map(([id, s]) => {
      const zone = zones.find((z) => z.id === id);
      const twin =
        zone && s.provenAt === null && s.turnedBack === null ? tested.get(keyOf(zone, s)) : undefined;
      if (!twin) return [id, s];
      const [topGf, bobbinGf] = [twin.setup.provenTopGf!, twin.setup.provenBobbinGf!];
      return [
        id,
        {
          ...s,
          topGf,
          bobbinGf,
          ratio: topGf / bobbinGf,
          ratioSd: Math.min(s.ratioSd, TWIN_SD),
          twinLetter: twin.zone.letter,
        },
      ];
    }),
  );
}

/** The zones of a quilt that sew as one of them does, itself left out; only those whose card is not tested yet. */
export function untestedTwins(
  zone: Zone,
  zones: readonly Zone[],
  setups: ReadonlyMap<string, ChosenSetup>,
): { zone: Zone; setup: ChosenSetup }[] {
  const own = setups.get(zone.id);
  if (!own) return [];
  return zones.flatMap((z) => {
    const setup = setups.get(z.id);
    return z.id !== zone.id && setup && !setup.provenAt && keyOf(z, setup) === keyOf(zone, own)
      ? [{ zone: z, setup }]
      : [];
  });
}
