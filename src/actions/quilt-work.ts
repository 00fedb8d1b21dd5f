import { areaOf } from '@/core/geometry/polygon';
import { thicknessMm } from '@/core/sandwich/sandwich';
import { type QuiltThread, quiltThread } from '@/core/usage/quilt-thread';
import type { ChosenSetup, Cone, Machine, Quilt, Zone } from '@/data/types';
import { linesIn, sandwichOf } from './zone-brief';

/** A needle of the drawer by its size, point and eye. */
export const needleKey = (nm: number, point: string, eye: string): string => `${nm} ${point} ${eye}`;

/** What a quilt's zones ask of its cones, from the set-ups that stand. */
export const quiltWork = (
  quilt: Quilt,
  zones: readonly Zone[],
  setups: ReadonlyMap<string, ChosenSetup>,
  cones: ReadonlyMap<string, Cone>,
  machine: Machine,
): QuiltThread =>
  quiltThread(
    zones.map((zone) => {
      const setup = setups.get(zone.id);
      const top = setup && cones.get(setup.topId);
      const bobbin = setup && cones.get(setup.bobbinId);
      return {
        technique: zone.technique,
        spacingIn: zone.spacingIn,
        areaIn2: areaOf(zone.geometry),
        ...linesIn(zone, quilt),
        thicknessMm: thicknessMm(sandwichOf(zone, quilt)),
        setup:
          setup && top && bobbin
            ? {
                spi: setup.spi,
                top,
                bobbin,
                needle: needleKey(setup.needleNm, setup.needlePoint, setup.needleEye),
              }
            : null,
      };
    }),
    { od: machine.bobbinOdMm, core: machine.bobbinCoreMm, width: machine.bobbinWidthMm },
  );
