/** Dry air: static, thread coils lift off the cone. Damp: cotton swells, steel rusts, vanishing marks go sooner. Per cent. */
const DRY = 30;
const DAMP = 65;
/** Air so much drier or damper than at the test asks for another one, points. */
const OTHER_AIR = 20;

/** What the air asks for, in words; null where it is good. @param pct relative humidity, 1–100. */
export function airAdvice(pct: number): string | null {
  if (pct < DRY)
    return `The air is dry, ${Math.round(pct)} %: static, and coils lift off the cone. Put a net on it; a humidifier helps.`;
  if (pct > DAMP)
    return `The air is damp, ${Math.round(pct)} %: cotton swells, needles and scissors rust, marks of a vanishing pen go sooner.`;
  return null;
}

/**
 * What the air at the machine means for a zone: otherwise by twenty points than when it was tested, it is to be tested
 * again; else what the air itself asks for. Null where nothing is to be said.
 */
export function airWords(nowPct: number, testedPct: number | undefined): string | null {
  if (testedPct !== undefined && Math.abs(nowPct - testedPct) >= OTHER_AIR)
    return `The air is ${Math.round(Math.abs(nowPct - testedPct))} points ${nowPct < testedPct ? 'drier' : 'damper'} than at the test of this zone: sew a test again.`;
  return airAdvice(nowPct);
}
