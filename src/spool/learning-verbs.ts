import { learnHours, type HoursBelief } from '@/core/hours/factors';
import type { LoggedStep, Step } from '@/core/hours/step';
import { minutesRange } from '@/core/hours/sum';
import { type Combination, type LearnedSearch, learnTension } from '@/core/learning/tension';
import { regulated } from '@/core/machine/regulator';
import { quote } from '@/core/quote/quote';
import { route } from '@/core/route/route';
import * as s from './schema-parts';
import { type Verb, verb } from './verb';

const minutes = s.within(0, 1_000_000);
const parts = s.list(
  s.object({ technique: s.text(), handsMin: minutes, actsMin: minutes, 'setMin?': minutes }),
  { minItems: 1 },
);
const range = { lowMin: s.num, midMin: s.num, highMin: s.num };

/** What the log says of the hours, effect by effect. */
const factorsOf = ({ fit }: HoursBelief) =>
  [...fit.effects].map(([effect, { mean, sd, observations }]) => {
    const [kind, ...id] = effect.split(' ');
    return { kind: kind!, ...(id.length > 0 ? { id: id.join(' ') } : {}), mean, sd, steps: observations };
  });

const combination = {
  machineId: s.text(),
  topId: s.text(),
  bobbinId: s.text(),
  battingId: s.text(),
  needleNm: s.needleNm,
};
const place = { type: 'array', items: s.within(-100_000, 100_000), minItems: 2, maxItems: 2 } as const;
const cents = s.within(0, 1e12);

/** What is learned from a log, and what is reckoned from lines, hands and prices. */
export const LEARNING_VERBS: Record<string, Verb> = {
  hours: verb(
    'how long the next steps take, by what was logged',
    s.object({
      logged: s.list(s.object({ parts, minutes: s.above0(1_000_000) }), { maxItems: 100_000 }),
      next: s.list(s.object({ parts })),
    }),
    s.answer({
      ...range,
      factors: s.list(
        s.answer({ kind: s.oneOf(['hand', 'technique', 'acts']), mean: s.num, sd: s.num, steps: s.num }),
      ),
    }),
    ({ logged, next }: { logged: LoggedStep[]; next: Step[] }) => {
      const belief = learnHours(logged);
      const { low, mid, high } = minutesRange(next, belief);
      return {
        lowMin: low,
        midMin: mid,
        highMin: high,
        factors: factorsOf(belief),
        leftOut: belief.fit.leftOut,
      };
    },
  ),
  'tension-learn': verb(
    'what finished searches say of machine, threads, batting and needle, and the first guess of a combination',
    s.object({
      searches: s.list(s.object({ ...combination, mean: s.within(-5, 5), sd: s.above0(5) }), {
        maxItems: 100_000,
      }),
      ask: s.list(s.object(combination)),
    }),
    s.answer({
      effects: s.list(s.answer({ kind: s.text(), id: s.text(), mean: s.num, sd: s.num, searches: s.num }), {
        maxItems: 1_000_000,
      }),
      predictions: s.list(
        s.answer({ mean: s.num, sd: s.num, searches: s.num, roundsLow: s.num, roundsHigh: s.num }),
      ),
      leftOut: s.list(s.num, { maxItems: 100_000 }),
      held: s.object({ bands: s.num, inside: s.num }),
    }),
    ({ searches, ask }: { searches: LearnedSearch[]; ask: Combination[] }) => {
      const learned = learnTension(searches);
      return {
        effects: learned.effects,
        predictions: ask.map(learned.predict),
        leftOut: learned.leftOut,
        held: learned.held,
      };
    },
  ),
  route: verb(
    'one line through every edge with the fewest starts and the least sewn again',
    s.object({
      edges: s.list(s.object({ a: place, b: place }), { minItems: 1 }),
      'startCostIn?': s.within(0, 10_000),
      'freeEnds?': s.list(place),
    }),
    s.answer({
      paths: s.list(s.object({ points: s.list(place, { maxItems: 100_000 }) })),
      starts: s.num,
      sewnIn: s.num,
      againIn: s.num,
      exact: s.bool,
    }),
    route,
  ),
  regulator: verb(
    'the stitches a stand-in machine makes under a pair of hands',
    s.object({
      machine: s.object({
        maxSpm: s.machineFields.maxSpm,
        idleMinSpm: s.machineFields.idleMinSpm,
        idleMaxSpm: s.machineFields.idleMaxSpm,
      }),
      mode: s.machineFields.modes.items!,
      spi: s.spi,
      'idleSpm?': s.within(0, 10_000),
      'manualSpm?': s.within(0, 10_000),
      path: s.list(
        s.object({
          tMs: s.within(0, 1e9),
          xIn: s.within(-10_000, 10_000),
          yIn: s.within(-10_000, 10_000),
        }),
        { minItems: 2, maxItems: 200_000 },
      ),
    }),
    s.answer({
      stitches: s.num,
      spi: s.num,
      cvPct: s.num,
      longestMm: s.num,
      shortestMm: s.num,
      lengthIn: s.num,
      meanInPerS: s.num,
      maxInPerS: s.num,
      outsidePct: s.num,
      facetedPct: s.num,
    }),
    regulated,
  ),
  quote: verb(
    'the price of a quilt, line by line, with its range',
    s.object({
      parts: s.list(
        s.object({
          kind: s.text(),
          'areaIn2?': s.areaIn2,
          'hours?': s.object({
            low: s.within(0, 100_000),
            mid: s.within(0, 100_000),
            high: s.within(0, 100_000),
          }),
        }),
      ),
      rates: s.object({ 'perHour?': cents, 'perIn2?': { type: 'object', additionalProperties: cents } }),
      materials: s.list(
        s.object({ label: s.text(), amount: s.within(0, 1e9), unit: s.text(), price: cents }),
      ),
      'taxPct?': s.within(0, 100),
    }),
    s.answer({
      lines: s.list(s.object({ label: s.text(500), low: s.num, mid: s.num, high: s.num })),
      low: s.num,
      mid: s.num,
      high: s.num,
    }),
    quote,
  ),
};
