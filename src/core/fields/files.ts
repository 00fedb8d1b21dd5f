import type { Field } from './field';
import { BATTING, FABRIC } from './cloth';
import { CONE, CONE_REMAINING } from './cone';
import { NEEDLE } from './needle';

/** What a CSV file of the studio can carry, and the fields of each in the order of its columns. */
export const FILE_FIELDS = {
  cones: [...CONE, CONE_REMAINING[0]!],
  battings: BATTING,
  fabrics: FABRIC,
  needles: NEEDLE,
} as const satisfies Record<string, readonly Field[]>;
export type ExchangeKind = keyof typeof FILE_FIELDS;
export const EXCHANGE_KINDS = Object.keys(FILE_FIELDS) as ExchangeKind[];
