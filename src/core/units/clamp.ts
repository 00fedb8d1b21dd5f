/** `value` held between `low` and `high`; `low` must not exceed `high`. */
export const clamp = (value: number, low: number, high: number): number =>
  Math.min(high, Math.max(low, value));
