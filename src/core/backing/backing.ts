import { MARGIN_IN } from '../passes/passes';
import { type Caution, CoreError } from '../notes';
import { inToM, mmToIn, mToYd } from '../units/length';

export interface BackingRequest {
  quilt: { widthIn: number; lengthIn: number };
  /** Each side; 100 mm when left out. */
  marginIn?: number;
  /** More on one side, where tests are sewn. */
  testMarginIn?: number;
  cloth: {
    widthIn: number;
    /** Each selvage. */
    selvageIn?: number;
    shrinkagePct?: number;
    stretch?: boolean;
    nap?: boolean;
  };
  /** Seam allowance each side; 13 mm when left out. */
  seamIn?: number;
}

export type BackingLayout = 'whole' | 'whole-turned' | 'vertical-seams' | 'horizontal-seams';

export interface BackingWay {
  layout: BackingLayout;
  panels: number;
  buyIn: number;
  buyYd: number;
  buyM: number;
  wasteIn2: number;
}

export interface Backing extends BackingWay {
  neededIn: { width: number; length: number };
  usableIn: number;
  /** Every way that is possible, least length first. */
  ways: BackingWay[];
  cautions: Caution[];
}

const SEAM_MM = 13;
const SELVAGE_IN = 0.5;
const MOST_PANELS = 12;

/** Panels whose widths, less the seams between, reach a width; null when more than a dozen. */
function panelsFor(neededIn: number, usableIn: number, seamIn: number): number | null {
  for (let k = 1; k <= MOST_PANELS; k++) if (k * usableIn - (k - 1) * 2 * seamIn >= neededIn - 1e-9) return k;
  return null;
}

/**
 * Backing to buy: unpieced both ways, lengths joined with vertical seams, widths with horizontal ones; the
 * least length wins. Needed = quilt + margins, over (1 − shrinkage). Stretchy or napped cloth runs down the
 * quilt, selvages at its sides. Inches.
 * @throws CoreError `cloth-too-narrow` when no way is possible.
 * @example planBacking({ quilt: { widthIn: 64, lengthIn: 80 }, marginIn: 4, cloth: { widthIn: 108 } }).buyIn // 72
 */
export function planBacking(request: BackingRequest): Backing {
  const { quilt, cloth } = request;
  const margin = request.marginIn ?? MARGIN_IN;
  const seam = request.seamIn ?? mmToIn(SEAM_MM);
  const left = 1 - (cloth.shrinkagePct ?? 0) / 100;
  const width = (quilt.widthIn + 2 * margin + (request.testMarginIn ?? 0)) / left;
  const length = (quilt.lengthIn + 2 * margin) / left;
  const usable = cloth.widthIn - 2 * (cloth.selvageIn ?? SELVAGE_IN);
  const downOnly = cloth.stretch === true || cloth.nap === true;
  const ways: BackingWay[] = [];
  const add = (layout: BackingLayout, panels: number | null, each: number) => {
    if (panels === null) return;
    const buyIn = panels * each;
    ways.push({
      layout,
      panels,
      buyIn,
      buyYd: mToYd(inToM(buyIn)),
      buyM: inToM(buyIn),
      wasteIn2: buyIn * cloth.widthIn - width * length,
    });
  };
  if (usable > 0) {
    const [down, across] = [panelsFor(width, usable, seam), panelsFor(length, usable, seam)];
    add(down === 1 ? 'whole' : 'vertical-seams', down, length);
    if (!downOnly) add(across === 1 ? 'whole-turned' : 'horizontal-seams', across, width);
  }
  ways.sort((a, b) => a.buyIn - b.buyIn || a.panels - b.panels);
  const best = ways[0];
  if (!best)
    throw new CoreError(
      'cloth-too-narrow',
      `Fabric of ${cloth.widthIn} in is too narrow to piece a backing of ${width.toFixed(0)} by ${length.toFixed(0)} in from.`,
      'cloth.widthIn',
    );
  const cautions: Caution[] = [];
  if (cloth.stretch)
    cautions.push({
      code: 'stretch-across',
      severity: 'note',
      text: 'Load it with its stretch across and the selvages at the two sides.',
    });
  if (cloth.nap && best.panels > 1)
    cautions.push({
      code: 'nap-one-way',
      severity: 'note',
      text: 'Turn every panel so that the nap runs down.',
    });
  return { ...best, neededIn: { width, length }, usableIn: usable, ways, cautions };
}

/**
 * Strips of binding: ceil((2(W + L) + 300 mm) / (usable width − join)), cut at the width given. The join of two
 * strips takes one strip's width (cut on the slant).
 * @throws CoreError when a strip has no width, or the cloth is too narrow for it.
 */
export function planBinding(
  quilt: { widthIn: number; lengthIn: number },
  cloth: { widthIn: number; selvageIn?: number },
  stripIn: number,
): { strips: number; buyIn: number } {
  if (!(stripIn > 0))
    throw new CoreError('strip-width', 'Give the width of the strips in inches.', 'stripIn');
  const usable = cloth.widthIn - 2 * (cloth.selvageIn ?? SELVAGE_IN) - stripIn;
  if (usable <= 0)
    throw new CoreError(
      'cloth-too-narrow',
      'The fabric is too narrow for strips that wide.',
      'cloth.widthIn',
    );
  const strips = Math.ceil((2 * (quilt.widthIn + quilt.lengthIn) + mmToIn(300)) / usable);
  return { strips, buyIn: strips * stripIn };
}
