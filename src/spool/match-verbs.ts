import { carefulMatch } from '@/core/cloth/careful-match';
import { match } from '@/core/match/match';
import { QUILT } from '@/core/fields/quilt';
import { ZONE, ZONE_FABRIC } from '@/core/fields/zone';
import { type MatchRequest } from '@/core/match/request';
import { matchWhole } from '@/core/match/whole-quilt';
import { whatWouldHaveToBeTrue } from '@/core/match/what-if';
import { SHINES, WEAVES } from '@/core/tables/cloth-looks';
import * as s from './schema-parts';
import { type Verb, verb } from './verb';

const zone = s.object({
  top: s.list(
    s.object({
      fabric: s.fabricId,
      'name?': s.text(),
      'share?': s.share,
      ...s.maybeFields(ZONE_FABRIC, 'hex', 'role', 'sewnOver', 'busyness'),
    }),
  ),
  'features?': s.list(s.featureId),
  backing: s.fabricId,
  battingId: s.battingId,
  'battingMaxGapIn?': s.within(0.1, 24),
  ...s.ofFields(ZONE, 'technique', 'visibility'),
  ...s.maybeFields(ZONE, 'spacingIn', 'smallestRadiusIn', 'lengthIn'),
  'areaIn2?': s.areaIn2,
  'starts?': { type: 'integer', minimum: 0, maximum: 100_000 },
  ...s.ofFields<typeof QUILT, 'use'>(QUILT, 'use'),
});
const tally = {
  faults: { type: 'integer', minimum: 0, maximum: 1_000_000 },
  stitches: s.within(0, 1e12),
};
/** What stands in the studio, whatever zone is asked for. */
const preferences = {
  machine: s.object({
    ...s.machineFields,
    feet: s.list(s.footId),
    bobbinMm: s.bobbinMm,
    'couchingHoleMm?': s.within(0.1, 20),
  }),
  threads: s.list(
    s.object({
      id: s.text(),
      tex: s.tex,
      fibre: s.fibreId,
      'hex?': s.hex,
      'remainingM?': s.within(0, 1_000_000),
      'role?': s.oneOf(['top', 'bobbin', 'both']),
      'labelNeedleNm?': s.nmRange,
      'name?': s.text(),
      'hexes?': s.list(s.hex, { minItems: 1, maxItems: 24 }),
    }),
  ),
  'needles?': s.list(s.object({ nm: s.needleNm, eye: s.eye, point: s.point })),
  'preferences?': s.object({
    'bobbin?': s.oneOf(['fine', 'same']),
    'labelRule?': s.oneOf(['obey', 'weigh']),
    'modeRule?': s.oneOf(['by-technique', 'idling', 'resting', 'manual']),
    'floorSpi?': s.spi,
    'oneSpi?': s.spi,
  }),
  'backingHex?': s.hex,
  'wash?': s.oneOf(['gentle', 'tumble']),
  ...s.maybeFields(ZONE, 'retraced'),
  'yarn?': s.object({ diameterMm: s.within(0.1, 20), 'hex?': s.hex }),
  'wound?': s.list(s.object({ id: s.text(), bobbins: { type: 'integer', minimum: 0, maximum: 10_000 } })),
  'gapShare?': s.within(0.1, 1),
  'record?': s.object({ tallies: s.list(s.object({ id: s.text(), ...tally })), all: s.object(tally) }),
};
const oneZone = {
  zone,
  ...preferences,
  'others?': s.list(s.object({ zone: s.text(), topId: s.text(), 'needleNm?': s.needleNm })),
  'claimedM?': { type: 'object', additionalProperties: s.within(0, 1_000_000) },
  'hold?': s.object({ 'topId?': s.text(), 'bobbinId?': s.text(), 'nm?': s.needleNm, 'spi?': s.spi }),
};
const setup = s.answer({
  topId: s.text(),
  bobbinId: s.text(),
  needle: s.object({ nm: s.num, us: s.nullable('number'), eye: s.eye, point: s.point }),
  foot: s.footId,
  spi: s.num,
  stitchMm: s.num,
  mode: s.oneOf(['idling', 'resting', 'manual']),
  idleSpm: s.num,
  maxInPerS: s.num,
  handInPerS: s.num,
  topGf: s.num,
  bobbinGf: s.num,
  score: s.num,
  total: s.num,
  parts: { type: 'object', additionalProperties: s.num },
  reasons: s.reasons,
  cautions: s.cautions,
});
const maybeSetup = { type: ['object', 'null'] };
const threadCount = s.object({ tops: s.list(s.text()), bobbins: s.list(s.text()) });

/** Match and what stands round it. */
export const MATCH_VERBS: Record<string, Verb> = {
  match: verb(
    'the best set-ups of a shelf for a zone, with reasons and cautions',
    s.object({ ...oneZone, 'limit?': { type: 'integer', minimum: 1, maximum: 500 } }),
    s.answer({ setups: s.list(setup), cautions: s.cautions }),
    (request: MatchRequest) => {
      const found = match(request);
      // Safety that holds for every set-up is said once, for all of them.
      const safety = new Map(found.setups.flatMap((x) => x.safety.map((c) => [c.code, c] as const)));
      return {
        setups: found.setups.map(({ safety: _, ...x }) => x),
        weighed: found.weighed,
        cautions: [...found.cautions, ...safety.values()],
      };
    },
  ),
  'whole-quilt': verb(
    'set-ups for all zones of a quilt together, trading a little for fewer thread changes',
    s.object({
      zones: s.list(
        s.object({
          id: s.text(),
          zone,
          'yarn?': preferences['yarn?'],
          'retraced?': preferences['retraced?'],
          'keep?': s.object({ topId: s.text(), bobbinId: s.text() }),
          'refused?': s.bool,
        }),
        { maxItems: 200 },
      ),
      ...preferences,
      'topPrice?': s.within(0, 100),
      'bobbinPrice?': s.within(0, 100),
    }),
    s.answer({
      zones: s.list(
        s.answer({
          id: s.text(),
          setup: maybeSetup,
          own: maybeSetup,
          extra: s.num,
          shifts: s.list(s.object({ criterion: s.text(), by: s.num })),
          kept: s.bool,
        }),
      ),
      said: s.list(s.object({ caution: s.caution, zones: s.list(s.text()) })),
      alike: s.list(s.list(s.text())),
      together: threadCount,
      apart: threadCount,
      cost: s.num,
      apartCost: s.num,
      exact: s.bool,
      cautions: s.cautions,
    }),
    matchWhole,
  ),
  'what-if': verb(
    'what would have to be true for a top thread to be the best in a zone',
    s.object({ ...oneZone, topId: s.text() }),
    s.answer({
      best: s.bool,
      refused: s.nullable('string'),
      behind: s.nullable('number'),
      shifts: s.list(s.object({ criterion: s.text(), by: s.num })),
      conditions: s.list(s.answer({ code: s.text(), text: s.text(2000) })),
      ahead: s.list(s.text()),
    }),
    ({ topId, ...request }: MatchRequest & { topId: string }) => whatWouldHaveToBeTrue(request, topId),
  ),
  'unknown-cloth': verb(
    'the nearest kinds of a fabric that is only described, a cautious set-up, and the test to sew first',
    s.object({
      request: s.object(oneZone),
      clothIndex: { type: 'integer', minimum: 0, maximum: 100 },
      description: s.object({
        gM2: s.within(20, 1000, 'weight, g/m²'),
        weave: s.oneOf(WEAVES),
        stretch: { type: 'integer', minimum: 0, maximum: 3 },
        shine: s.oneOf(SHINES),
      }),
    }),
    s.answer({
      kinds: s.list(s.answer({ id: s.fabricId, differs: s.list(s.text()) })),
      setup: maybeSetup,
      hardest: s.nullable('string'),
      test: s.answer({ what: s.text(), steps: s.list(s.text(500)), cautions: s.cautions }),
    }),
    carefulMatch,
  ),
};
