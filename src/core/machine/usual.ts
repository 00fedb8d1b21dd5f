import { MACHINE } from '../fields/machine';
import { usualValues } from '../fields/stored';
import { table } from '../tables/lookup';

/** A usual kind of machine on a frame, in general words; every figure is a start to be changed by its manual. */
export interface UsualMachine {
  id: string;
  label: string;
  about: string;
  values: Readonly<Record<string, unknown>>;
}

const kind = (id: string, label: string, about: string, values: Record<string, unknown>): UsualMachine => ({
  id,
  label,
  about,
  values: { ...usualValues(MACHINE), ...values },
});

/** Usual kinds by throat and top speed (judgement; ranges as sold in general). */
export const USUAL_MACHINES = table<UsualMachine>('Machine', [
  kind('short', 'Short throat on a small frame', 'throat 9 to 12 in, up to 1,500 a minute', {
    throatIn: 11,
    deadIn: 4,
    frameIn: 60,
    maxSpm: 1500,
    idleMaxSpm: 600,
    maxSpi: 14,
    rollStartIn: 2,
    bobbinOdMm: 21,
    bobbinCoreMm: 6,
    bobbinWidthMm: 9,
  }),
  kind('middle', 'Middle throat', 'throat 15 to 18 in, up to 1,800 a minute', {
    throatIn: 16,
    deadIn: 4.5,
    frameIn: 96,
    maxSpm: 1800,
    idleMaxSpm: 800,
  }),
  kind('long', 'Longarm', 'throat 18 to 22 in, up to 2,200 a minute', {
    throatIn: 20,
    frameIn: 120,
    maxSpm: 2200,
  }),
  kind('deep', 'Longarm, deep throat', 'throat 24 to 30 in, up to 2,600 a minute', {
    throatIn: 26,
    frameIn: 144,
    maxSpm: 2600,
    idleMaxSpm: 1000,
    rollStartIn: 3,
  }),
  kind('table', 'On a table, the quilt is moved', 'throat 8 to 12 in, up to 1,500 a minute, no frame', {
    kind: 'table',
    throatIn: 10,
    throatHeightIn: 5,
    deadIn: 1,
    maxSpm: 1500,
    idleMinSpm: 100,
    idleMaxSpm: 500,
    modes: ['resting', 'manual'],
    bobbinOdMm: 21,
    bobbinCoreMm: 6,
    bobbinWidthMm: 9,
  }),
  kind('unregulated', 'Older, without a stitch regulator', 'fixed speed set by hand, up to 1,800 a minute', {
    throatIn: 16,
    deadIn: 4.5,
    frameIn: 108,
    maxSpm: 1800,
    idleMinSpm: 0,
    idleMaxSpm: 0,
    modes: ['manual'],
  }),
]);

/** A usual needle drawer of a longarm: sharp points, the four sizes that sew nearly everything, ten of each. */
export const USUAL_NEEDLES = [80, 90, 100, 110].map((nm) => ({
  nm,
  eye: 'standard' as const,
  point: 'sharp' as const,
  coated: false,
  stock: 10,
}));
/** Bobbins wound of each bobbin thread at first. */
export const USUAL_BOBBINS = 6;
