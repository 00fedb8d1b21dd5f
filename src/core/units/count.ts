/**
 * Thread counts. Tex (grams per kilometre) is the one common measure, ISO 1144; the conversions
 * follow ISO 2947. Every function takes and gives numbers above 0.
 */
export const texToDtex = (tex: number): number => tex * 10;
/** dtex (g per 10 km) to tex (g per km). */
export const dtexToTex = (dtex: number): number => dtex / 10;
/** tex to denier (g per 9 km). */
export const texToDen = (tex: number): number => tex * 9;
/** denier (g per 9 km) to tex. */
export const denToTex = (den: number): number => den / 9;
/** tex to metric count Nm (m per g); tex > 0. */
export const texToNm = (tex: number): number => 1000 / tex;
/** Metric count Nm (m per g) to tex; Nm > 0. */
export const nmToTex = (nm: number): number => 1000 / nm;
/** tex to English cotton count Ne (hanks of 840 yd per lb); tex > 0. */
export const texToNe = (tex: number): number => 590.5 / tex;
/** English cotton count Ne to tex; Ne > 0. */
export const neToTex = (ne: number): number => 590.5 / ne;
/** tex to weight number wt (km per kg); tex > 0. */
export const texToWt = (tex: number): number => 1000 / tex;
/** Weight number wt (km per kg) to tex; wt > 0. */
export const wtToTex = (wt: number): number => 1000 / wt;
/** tex to ticket number of synthetics (3 km per kg); tex > 0. */
export const texToTicket = (tex: number): number => 3000 / tex;
/** Ticket number of synthetics to tex; ticket > 0. */
export const ticketToTex = (ticket: number): number => 3000 / ticket;
