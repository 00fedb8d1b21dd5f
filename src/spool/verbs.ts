import { DIRECTIONS } from '@/core/fields/lists';
import { planBacking } from '@/core/backing/backing';
import { rankColours } from '@/core/colour/rank';
import { planCouching } from '@/core/couching/couching';
import { density } from '@/core/density/density';
import { chooseNeedle } from '@/core/needle/needle';
import { FIRST_RULES, type OrderRequest, ROLLINGS } from '@/core/order/cells';
import { planOrder } from '@/core/order/order';
import { planPasses } from '@/core/passes/passes';
import { planRuler } from '@/core/ruler/ruler';
import { regulate } from '@/core/stitch/regulate';
import { nextTension } from '@/core/tension/next';
import { startTension } from '@/core/tension/start';
import { describeThread } from '@/core/thread/describe';
import { usage } from '@/core/usage/usage';
import { FAULT_VERBS } from './fault-verbs';
import { LEARNING_VERBS } from './learning-verbs';
import { MATCH_VERBS } from './match-verbs';
import { MOTIF_VERBS } from './motif-verbs';
import { PATTERN_VERBS } from './pattern-verbs';
import * as s from './schema-parts';
import { type Verb, verb } from './verb';

const machine = s.object(s.machineFields);
const quiltSize = s.object({ widthIn: s.within(1, 400), lengthIn: s.within(1, 400) });
const topFabrics = s.list(s.fabricId, { minItems: 1 });
const step = s.within(-3, 3);
const start = s.object({
  topGf: s.above0(2000),
  bobbinGf: s.above0(500),
  ratio: s.above0(200),
  sd: s.above0(5),
});

type NeedleVerb = Omit<Parameters<typeof chooseNeedle>[0], 'sandwich'> & {
  top: string[];
  backing?: string;
  battingId: string;
  features?: string[];
};
type TensionStartVerb = Omit<Parameters<typeof startTension>[0], 'sandwich'> & {
  sandwich: { top: string[]; battingId: string; backing: string };
};
const asTop = (ids: readonly string[]) => ids.map((fabric) => ({ fabric }));

export const VERBS: Record<string, Verb> = {
  thread: verb(
    'read a thread’s label: tex, every count, diameter, breaking load',
    s.object({
      'label?': s.text(),
      fibre: s.fibreId,
      'netG?': s.above0(10_000),
      'lengthM?': s.above0(1_000_000),
    }),
    s.answer({
      tex: s.num,
      basis: s.oneOf(['measured', 'tex', 'den', 'ne', 'nm', 'ticket', 'wt']),
      uncertain: s.bool,
      dtex: s.num,
      den: s.num,
      ne: s.num,
      nm: s.num,
      wt: s.num,
      ticket: s.num,
      diameterMm: s.num,
      breakGf: s.num,
    }),
    describeThread,
  ),
  needle: verb(
    'choose the needle for a thread, a stitch length and a sandwich',
    s.object({
      thread: s.object({ tex: s.tex, fibre: s.fibreId, 'labelNeedleNm?': s.nmRange }),
      spi: s.spi,
      top: topFabrics,
      'backing?': s.fabricId,
      battingId: s.battingId,
      'features?': s.list(s.featureId),
      'owned?': s.list(s.needleNm),
      'eye?': s.eye,
      'labelRule?': s.oneOf(['obey', 'weigh']),
    }),
    s.answer({
      best: { type: ['object', 'null'] },
      sizes: s.list(
        s.answer({
          nm: s.num,
          us: s.nullable('number'),
          eyeRatio: s.num,
          flexIndex: s.num,
          perforation: s.num,
          verdict: s.oneOf(['best', 'usable', 'refused']),
        }),
      ),
    }),
    ({ top, backing, battingId, features, ...rest }: NeedleVerb) =>
      chooseNeedle({ ...rest, sandwich: { top: asTop(top), backing, battingId, features } }),
  ),
  regulate: verb(
    'stitches per inch, mode, idle and speed limit for a technique',
    s.object({
      technique: s.techniqueId,
      'smallestRadiusIn?': s.radiusIn,
      'spacingIn?': s.spacingIn,
      'spi?': s.spi,
      'floorSpi?': s.spi,
      machine,
      'handInPerS?': s.above0(30),
      'needleNm?': s.needleNm,
      'top?': topFabrics,
      'modeRule?': s.oneOf(['by-technique', 'idling', 'resting', 'manual']),
    }),
    s.answer({
      spi: s.num,
      stitchMm: s.num,
      mode: s.oneOf(['idling', 'resting', 'manual']),
      idleSpm: s.num,
      maxInPerS: s.num,
      spmAtHand: s.num,
      turnDeg: s.num,
      stitchesPerTurn: s.nullable('number'),
      curve: s.oneOf(['smooth', 'faceted', 'jagged', 'straight']),
    }),
    regulate,
  ),
  'tension-start': verb(
    'the first top and bobbin tension to try',
    s.object({
      top: s.thread,
      bobbin: s.thread,
      needleNm: s.needleNm,
      'eye?': s.eye,
      sandwich: s.object({
        top: topFabrics,
        battingId: s.battingId,
        backing: s.fabricId,
        'features?': s.list(s.featureId),
      }),
      'learned?': s.object({ mean: s.within(-3, 3), sd: s.above0(5) }),
    }),
    s.answer({ topGf: s.num, bobbinGf: s.num, ratio: s.num, sd: s.num }),
    ({ sandwich, ...rest }: TensionStartVerb) =>
      startTension({ ...rest, sandwich: { ...sandwich, top: asTop(sandwich.top) } }),
  ),
  'tension-next': verb(
    'the next tension to set, from the test stitches sewn so far',
    s.object({
      start,
      thicknessMm: s.within(0.1, 50),
      breakGf: s.above0(100_000),
      tests: s.list(
        s.object({
          topGf: s.above0(2000),
          bobbinGf: s.above0(500),
          verdicts: s.object(
            Object.fromEntries(DIRECTIONS.map((d) => [`${d}?`, { ...step, type: 'integer' }])),
          ),
        }),
        { maxItems: 200 },
      ),
    }),
    s.answer({
      done: s.bool,
      topGf: s.num,
      bobbinGf: s.num,
      change: s.oneOf(['loosen-top', 'tighten-top', 'loosen-bobbin', 'tighten-bobbin', 'keep']),
      ratioLow: s.num,
      ratioHigh: s.num,
      pBalanced: s.num,
    }),
    nextTension,
  ),
  ...MATCH_VERBS,
  ...LEARNING_VERBS,
  ...FAULT_VERBS,
  ...PATTERN_VERBS,
  ...MOTIF_VERBS,
  density: verb(
    'line density, sewn length and open gaps of zones against the batting',
    s.object({
      battingId: s.battingId,
      'battingMaxGapIn?': s.within(0.1, 24),
      zones: s.list(
        s.object({
          id: s.text(),
          technique: s.techniqueId,
          spacingIn: s.spacingIn,
          areaIn2: s.areaIn2,
          'lengthIn?': s.lengthIn,
          'topTex?': s.tex,
          'fibre?': s.fibreId,
        }),
      ),
      'neighbours?': s.list(s.object({ a: s.text(), b: s.text(), seamIn: s.within(0, 1_000_000) })),
      'gapShare?': s.within(0.1, 1),
      'evenness?': s.within(1, 100),
    }),
    s.answer({ zones: s.list({ type: 'object' }), evenness: s.num, limit: s.num, ok: s.bool }),
    density,
  ),
  usage: verb(
    'thread, bobbins and stitches for a sewn length',
    s.object({
      sewnLengthIn: s.above0(10_000_000),
      spi: s.spi,
      thicknessMm: s.within(0.1, 50),
      starts: { type: 'integer', minimum: 0, maximum: 1_000_000 },
      top: s.thread,
      bobbin: s.thread,
      bobbinMm: s.bobbinMm,
      'prewound?': s.bool,
    }),
    s.answer({ topM: s.num, bobbinM: s.num, bobbins: s.num, bobbinCapacityM: s.num, stitches: s.num }),
    usage,
  ),
  backing: verb(
    'backing to buy: whole or pieced, least length',
    s.object({
      quilt: quiltSize,
      'marginIn?': s.within(0, 40),
      'testMarginIn?': s.within(0, 40),
      cloth: s.object({
        widthIn: s.above0(400),
        'selvageIn?': s.within(0, 10),
        'shrinkagePct?': s.within(0, 50),
        'stretch?': s.bool,
        'nap?': s.bool,
      }),
      'seamIn?': s.within(0, 5),
    }),
    s.answer({
      layout: s.oneOf(['whole', 'vertical-seams', 'horizontal-seams', 'whole-turned']),
      panels: s.num,
      buyIn: s.num,
      buyYd: s.num,
      buyM: s.num,
      wasteIn2: s.num,
    }),
    planBacking,
  ),
  passes: verb(
    'passes of a quilt on a frame, both ways round',
    s.object({
      quilt: quiltSize,
      'marginIn?': s.within(0, 40),
      frame: s.object({
        throatIn: s.above0(100),
        deadIn: s.within(0, 100),
        widthIn: s.above0(1000),
        rollInThroat: s.bool,
        rollStartIn: s.above0(50),
        'overlapIn?': s.within(0, 20),
      }),
      rolledMm: s.within(0, 100),
      'turn?': s.oneOf(['auto', 'never']),
    }),
    s.answer({
      turned: s.bool,
      passes: s.num,
      depthsIn: s.list(s.num),
      alternative: { type: ['object', 'null'] },
    }),
    planPasses,
  ),
  sequence: verb(
    'the cheapest order of work over passes and threads; rule flat leaves no unsewn band between two sewn ones',
    s.object({
      passes: { type: 'integer', minimum: 1, maximum: 500 },
      threads: s.list(s.text(), { minItems: 1, maxItems: 200 }),
      cells: s.list(
        s.object({
          pass: { type: 'integer', minimum: 1, maximum: 500 },
          thread: s.text(),
          'stabilise?': s.bool,
          minutes: s.within(0, 100_000),
        }),
        { maxItems: 600 },
      ),
      rollMin: s.within(0, 1000),
      changeMin: s.within(0, 1000),
      'changeTroubleMin?': s.within(0, 1000),
      'rule?': s.oneOf(FIRST_RULES),
      'rolling?': s.oneOf(ROLLINGS),
      'startPass?': { type: 'integer', minimum: 1, maximum: 500 },
      'sewnPasses?': s.list({ type: 'integer', minimum: 1, maximum: 500 }, { maxItems: 500 }),
    }),
    s.answer({
      order: s.list(s.object({ pass: s.num, thread: s.text(), 'stabilise?': s.bool })),
      minutes: s.num,
      changes: s.num,
      byPass: s.object({ minutes: s.num, changes: s.num }),
      bySweep: s.object({ minutes: s.num, changes: s.num }),
      quickest: s.object({ minutes: s.num, changes: s.num }),
      exact: s.bool,
    }),
    // Asked for nothing more, what stabilises comes first within its pass; the plan itself asks for `flat`.
    (request: OrderRequest) => planOrder({ rule: 'in-pass', ...request }),
  ),
  couching: verb(
    'yarn, skeins and foot for a couched path',
    s.object({
      pathIn: s.lengthIn,
      starts: { type: 'integer', minimum: 0, maximum: 1_000_000 },
      yarnMm: s.above0(50),
      skeinM: s.above0(100_000),
      footHoleMm: s.above0(50),
      minRadiusIn: s.radiusIn,
      gapIn: s.spacingIn,
    }),
    s.answer({ yarnM: s.num, skeins: s.num, foot: s.oneOf(['couching', 'ruler']), ok: s.bool }),
    planCouching,
  ),
  ruler: verb(
    'what a ruler sews: radius, depth of arc, repeats along a border',
    s.object({
      offsetIn: s.within(0, 5),
      'edge?': s.object({ kind: s.oneOf(['convex', 'concave', 'straight']), 'radiusIn?': s.radiusIn }),
      'chordIn?': s.above0(1000),
      'repeat?': s.object({ lengthIn: s.above0(10_000), repeatIn: s.above0(10_000) }),
    }),
    s.answer({ 'sewnRadiusIn?': s.num, 'sagittaIn?': s.num, 'repeats?': s.num, 'scalePct?': s.num }),
    planRuler,
  ),
  colour: verb(
    'rank thread colours against a zone’s fabrics, to sink or to show',
    s.object({
      fabrics: s.list(s.object({ hex: s.hex, share: s.share }), { minItems: 1 }),
      threads: s.list(s.object({ id: s.text(), hex: s.hex, 'diameterMm?': s.above0(10) })),
      aim: s.oneOf(['sink', 'show']),
    }),
    s.answer({ ranked: s.list({ type: 'object' }) }),
    (request: Parameters<typeof rankColours>[0]) => ({ ranked: rankColours(request) }),
  ),
};
