import { readSetup } from './setup-share';
import { battings } from '../tables/battings';
import { eyeRatio } from '../needle/eye';
import type { Eye } from '../tables/needles';
import type { FootId } from '../tables/techniques';
import type { Mode } from '../stitch/machine';

/** What stood on the machine where a fault was noted. */
export interface SetupThen {
  needleStitches: number | null;
  needleNm: number;
  eye: Eye;
  tex: number;
  fibre: string;
  topFabric: string | null;
  features: readonly string[];
  battingId: string;
  backing: string;
  handInPerS: number;
  maxInPerS: number;
  mode: Mode;
  spi: number;
  topGf: number;
  startTopGf: number;
  bobbinGf: number;
  startBobbinGf: number;
  besideRuler: boolean;
  foot: FootId;
  /** Hours sewn since lint was out of the hook and since it was oiled; null where neither was ever noted. */
  hoursSinceCleaning?: number | null;
  hoursSinceOiling?: number | null;
  /** Humidity of the room, per cent. */
  humidityPct?: number | null;
}

const [LOW_MM, MID_MM] = [4.5, 8];

/** The set-up as the fault knowledge asks for it; what is not known is left out. */
export function setupFactsOf(s: SetupThen): Record<string, string | number | boolean | string[]> {
  const loft = battings.find(s.battingId)?.loftMm;
  const known: Record<string, string | number | boolean | string[] | undefined> = {
    needleAgeStitches: s.needleStitches ?? undefined,
    needleNm: s.needleNm,
    threadTex: s.tex,
    threadFibre: s.fibre,
    threadEyeRatio: eyeRatio({ tex: s.tex, fibre: s.fibre }, s.needleNm, s.eye),
    topFabric: s.topFabric ?? undefined,
    feature: [...s.features],
    battingFibre: s.battingId,
    battingLoft: loft === undefined ? undefined : loft <= LOW_MM ? 'low' : loft <= MID_MM ? 'mid' : 'high',
    backing: s.backing,
    handSpeedShareOfLimit: s.handInPerS / s.maxInPerS,
    regulationMode: s.mode,
    spi: s.spi,
    topTensionShareOfStart: s.topGf / s.startTopGf,
    bobbinTensionShareOfStart: s.bobbinGf / s.startBobbinGf,
    rulerWork: s.besideRuler,
    footType: s.foot,
    computerGuided: false,
    hoursSinceCleaning: s.hoursSinceCleaning ?? undefined,
    hoursSinceOiling: s.hoursSinceOiling ?? undefined,
    humidity: s.humidityPct ?? undefined,
  };
  return { ...readSetup(known) } as Record<string, string | number | boolean | string[]>;
}
