/** How much a change harms, in words; in the unit of the penalties. */
export const harmWords = (harm: number): string =>
  harm < 0.1 ? 'hardly any harm' : harm < 0.35 ? 'a little harm' : harm < 0.8 ? 'some harm' : 'much harm';
