/** Whether a code is a currency's by its form: three capital letters. */
export const isCurrency = (code: string): boolean => /^[A-Z]{3}$/.test(code) && known().has(code);

let codes: ReadonlySet<string> | null = null;
const known = (): ReadonlySet<string> => (codes ??= new Set(Intl.supportedValuesOf('currency')));

const format = (currency: string) => new Intl.NumberFormat('en', { style: 'currency', currency });

/** Digits of a currency's minor unit: 2 for most, 0 for some. */
export const minorDigits = (currency: string): number =>
  format(currency).resolvedOptions().maximumFractionDigits ?? 2;

/** Money in whole minor units as it is read: 5050 of EUR is “€50.50”. */
export const moneyText = (minor: number, currency: string): string =>
  format(currency).format(minor / 10 ** minorDigits(currency));

/**
 * What was typed as money, in whole minor units: 50, 50.5, 50,50, 1 250.00, with or without the currency's sign. Null
 * when it is not money, or finer than the minor unit.
 * @example readMoney('50.50', 'EUR') // 5050
 */
export function readMoney(text: string, currency: string): number | null {
  const digits = minorDigits(currency);
  const bare = text.replace(/\p{Sc}|[A-Za-z]{3}|[\s'\u2019]/gu, '');
  // One point and three digits after it are decimals where the minor unit has three, else thousands.
  const found =
    (digits === 3 && /^(\d+)[.,](\d{1,3})$/u.exec(bare)) ||
    /^(\d{1,3}(?:[.,]\d{3})+|\d+)(?:[.,](\d{1,4}))?$/u.exec(bare);
  if (!found) return null;
  const [, whole, rest = ''] = found;
  if (rest.length > digits) return null;
  const minor = Number(whole!.replace(/[.,]/gu, '')) * 10 ** digits + Number(rest.padEnd(digits, '0') || 0);
  return Number.isSafeInteger(minor) ? minor : null;
}

/** Money as it is typed into a form: no sign, the currency's digits. */
export const moneyTyped = (minor: number, currency: string): string =>
  (minor / 10 ** minorDigits(currency)).toFixed(minorDigits(currency));
