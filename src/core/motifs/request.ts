import type { Softness, Use, VisibilityWish } from '../fields/lists';
import type { Role, Trait } from './motif-table';

export const LEVELS = ['beginner', 'steady', 'practised'] as const;
export type Level = (typeof LEVELS)[number];
export type Lines = 'stripe' | 'plaid' | 'shapes';
export type Relief = 'raised' | 'flat';

/** A zone as it is asked what to quilt in it. Inches. */
export interface MotifZone {
  id: string;
  role: Role;
  /** Rings of points, from which the six numbers follow where they are not given. */
  outline?: readonly (readonly (readonly [number, number])[])[];
  areaIn2?: number;
  /** Diameter of the largest circle in a piece. */
  openIn?: number;
  pieces?: number;
  /** Diameter of the largest disc that paints nine tenths of it from inside. */
  narrowIn?: number;
  edgeIn?: number;
  traits?: readonly Trait[];
  top: readonly { fabric: string; busyness?: number; share?: number }[];
  lines?: Lines;
  features?: readonly string[];
  softness?: Softness;
  visibility?: VisibilityWish;
  relief?: Relief;
  themes?: readonly string[];
  wish?: readonly string[];
  hold?: { technique: string; spacingIn?: number };
}

export interface MotifsRequest {
  quilt: {
    widthIn: number;
    lengthIn: number;
    use: Use;
    battingId: string;
    battingMaxGapIn?: number;
    backing?: string;
    hours?: number;
    themes?: readonly string[];
    softness?: Softness;
    visibility?: VisibilityWish;
    evenness?: number;
  };
  zones: readonly MotifZone[];
  neighbours?: readonly { a: string; b: string; seamIn: number }[];
  machine?: {
    throatIn?: number;
    feet?: readonly string[];
    rulers?: readonly string[];
    guided?: boolean;
    rowIn?: number;
  };
  hand?: { usual?: Level; levels?: Readonly<Record<string, Level>> };
  yarn?: { diameterMm: number };
  past?: readonly { role: Role; technique: string; went: 'well' | 'fair' | 'badly' }[];
  preferences?: { ditch?: 'first' | 'travel'; motifs?: 'by-size' | 'down' | 'outline' };
  proposals?: number;
  limit?: number;
}
