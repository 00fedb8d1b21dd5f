/** A number with no more digits than a hand can set, and no zeros after it. @example trim(0.5599999, 2) // '0.56' */
export const trim = (x: number, digits: number): string => String(Number(x.toFixed(digits)));
