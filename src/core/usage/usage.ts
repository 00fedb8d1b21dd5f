import { fibres } from '../tables/fibres';
import type { Thread } from '../thread/thread';
import { inToM, spiToMm } from '../units/length';

/** A bobbin by its inside measures: flange, core and width in mm. */
export interface BobbinSize {
  od: number;
  core: number;
  width: number;
}

export interface UsageRequest {
  sewnLengthIn: number;
  spi: number;
  thicknessMm: number;
  starts: number;
  top: Thread;
  bobbin: Thread;
  bobbinMm: BobbinSize;
  prewound?: boolean;
}

export interface Usage {
  topM: number;
  bobbinM: number;
  bobbins: number;
  bobbinCapacityM: number;
  stitches: number;
}

const TOP_TAIL_M = 0.3;
const BOBBIN_TAIL_M = 0.15;
const WASTE = 1.05;
/** How much of the winding space is thread (judgement). */
const FILL = { prewound: 0.52, selfWound: 0.45 };

/** Metres a bobbin holds, V·ρ·η/T with V in mm³, ρ in g/cm³, T in tex. */
export function bobbinCapacityM({ od, core, width }: BobbinSize, thread: Thread, prewound = false): number {
  const volume = (Math.PI / 4) * (od ** 2 - core ** 2) * width;
  const { densityGCm3 } = fibres.get(thread.fibre, 'bobbin.fibre');
  return (volume * densityGCm3 * (prewound ? FILL.prewound : FILL.selfWound)) / thread.tex;
}

/**
 * Thread for a sewn length. A lockstitch (ISO 4915, type 301) takes L + 2h of each thread; balanced,
 * h = t/2. With 0.30 m (top) and 0.15 m (bobbin) per start, and 5 % on top.
 */
export function usage(request: UsageRequest): Usage {
  const { sewnLengthIn, spi, thicknessMm, starts } = request;
  const sewn = inToM(sewnLengthIn) * (1 + thicknessMm / spiToMm(spi));
  const bobbinM = (sewn + BOBBIN_TAIL_M * starts) * WASTE;
  const capacity = bobbinCapacityM(request.bobbinMm, request.bobbin, request.prewound);
  return {
    topM: (sewn + TOP_TAIL_M * starts) * WASTE,
    bobbinM,
    bobbins: Math.ceil(bobbinM / capacity),
    bobbinCapacityM: capacity,
    stitches: Math.round(sewnLengthIn * spi),
  };
}
