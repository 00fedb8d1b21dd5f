import type { MultiPolygon } from '@/core/geometry/polygon';
import { polyline } from '@/ui/draw/mark';

/** A zone's edge as one path in inches; holes by the even-odd rule. */
export const zonePath = (shape: MultiPolygon): string =>
  shape.map((polygon) => polygon.map((ring) => `${polyline(ring)}Z`).join('')).join('');
