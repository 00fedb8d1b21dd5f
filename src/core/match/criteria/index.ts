import { bobbinColour, bobbinKind, bobbinSize, bobbinsReady, backColour } from './bobbin';
import { buildUp } from './build-up';
import { clearThread, seenThrough } from './clear';
import { colour } from './colour';
import { threadCovers } from './cover';
import type { BobbinContext, CriterionOf, PairContext, TopContext } from './criterion';
import { durability } from './durability';
import { child, ironing, lasting, lint, running, washing } from './keeping';
import { blade, eye, flex, holes, needleChange } from './needle';
import { stock, strength } from './pair';
import { record } from './record';
import { rubbing } from './rubbing';
import { thickness } from './thickness';
import { threadChange } from './thread-change';
import { yarn } from './yarn';

/** Each way a top thread is weighed for a zone. Adding a criterion is adding a file and a name here. */
export const TOP_CRITERIA: readonly CriterionOf<TopContext>[] = [
  colour,
  clearThread,
  thickness,
  durability,
  buildUp,
  threadCovers,
  yarn,
  rubbing,
  eye,
  flex,
  holes,
  blade,
  running,
  child,
  ironing,
  washing,
  lasting,
  threadChange,
  needleChange,
  record,
  lint,
];

/** How a bobbin thread is weighed by the threads alone. */
export const BOBBIN_CRITERIA: readonly CriterionOf<BobbinContext>[] = [
  bobbinSize,
  bobbinKind,
  bobbinColour,
  backColour,
  bobbinsReady,
];

/** How a pair is weighed once its tension and metres are reckoned. */
export const PAIR_CRITERIA: readonly CriterionOf<PairContext>[] = [strength, stock, seenThrough];

/** What each criterion is called and what it counts (judgement; a studio's log can correct it). */
export const CRITERIA: Readonly<Record<string, { label: string; weight: number }>> = Object.fromEntries(
  [...TOP_CRITERIA, ...BOBBIN_CRITERIA, ...PAIR_CRITERIA].map(({ id, label, weight }) => [
    id,
    { label, weight },
  ]),
);
export type Criterion = string;
