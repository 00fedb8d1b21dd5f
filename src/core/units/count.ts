/**
 * Thread counts. Tex (grams per kilometre) is the one common measure, ISO 1144; the conversions
 * follow ISO 2947. Every function takes and gives numbers above 0.
 */
export const texToDtex = (tex: number): number => tex * 10;
export const dtexToTex = (dtex: number): number => dtex / 10;
export const texToDen = (tex: number): number => tex * 9;
export const denToTex = (den: number): number => den / 9;
export const texToNm = (tex: number): number => 1000 / tex;
export const nmToTex = (nm: number): number => 1000 / nm;
export const texToNe = (tex: number): number => 590.5 / tex;
export const neToTex = (ne: number): number => 590.5 / ne;
export const texToWt = (tex: number): number => 1000 / tex;
export const wtToTex = (wt: number): number => 1000 / wt;
export const texToTicket = (tex: number): number => 3000 / tex;
export const ticketToTex = (ticket: number): number => 3000 / ticket;
