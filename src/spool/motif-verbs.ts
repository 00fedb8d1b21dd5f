import { motifs } from '@/core/motifs/motifs';
import { MOTIFS, ROLES, TRAITS } from '@/core/motifs/motif-table';
import { LEVELS } from '@/core/motifs/request';
import { RULER_SHAPES, SOFTNESSES, USES, VISIBILITIES } from '@/core/fields/lists';
import * as s from './schema-parts';
import { type Verb, verb } from './verb';

const technique = s.oneOf(MOTIFS.ids);
const role = s.oneOf(ROLES);
const level = s.oneOf(LEVELS);
const words = s.list(s.text(40), { maxItems: 20 });
const pointXY: s.Schema = { type: 'array', items: s.within(-10_000, 10_000), minItems: 2, maxItems: 2 };
const levels: s.Schema = {
  type: 'object',
  properties: Object.fromEntries(MOTIFS.ids.map((id) => [id, level])),
  additionalProperties: false,
};
const range = s.object({ low: s.num, mid: s.num, high: s.num });
const refused = s.list(s.object({ technique, code: s.text(), text: s.text() }));

/** What to quilt where. */
export const MOTIF_VERBS: Record<string, Verb> = {
  motifs: verb(
    'what to quilt where: ranked techniques for each zone, proposals for the whole quilt',
    s.object({
      quilt: s.object({
        widthIn: s.within(4, 200),
        lengthIn: s.within(4, 200),
        use: s.oneOf(USES),
        battingId: s.battingId,
        'battingMaxGapIn?': s.above0(24),
        'backing?': s.fabricId,
        'hours?': s.above0(1000),
        'themes?': words,
        'softness?': s.oneOf(SOFTNESSES),
        'visibility?': s.oneOf(VISIBILITIES),
        'evenness?': s.within(1, 20),
      }),
      zones: s.list(
        s.object({
          id: s.text(60),
          role,
          'outline?': s.list(s.list(pointXY, { minItems: 3, maxItems: 2000 }), { minItems: 1, maxItems: 60 }),
          'areaIn2?': s.areaIn2,
          'openIn?': s.above0(1000),
          'pieces?': { type: 'integer', minimum: 1, maximum: 2000 },
          'narrowIn?': s.above0(1000),
          'edgeIn?': s.above0(1_000_000),
          'traits?': s.list(s.oneOf(TRAITS)),
          top: s.list(
            s.object({ fabric: s.fabricId, 'busyness?': s.within(0, 3), 'share?': s.above0(100) }),
            { minItems: 1, maxItems: 40 },
          ),
          'lines?': s.oneOf(['stripe', 'plaid', 'shapes']),
          'features?': s.list(s.featureId),
          'softness?': s.oneOf(SOFTNESSES),
          'visibility?': s.oneOf(VISIBILITIES),
          'relief?': s.oneOf(['raised', 'flat']),
          'themes?': words,
          'wish?': s.list(technique, { maxItems: 25 }),
          'hold?': s.object({ technique, 'spacingIn?': s.spacingIn }),
        }),
        { minItems: 1, maxItems: 200 },
      ),
      'neighbours?': s.list(s.object({ a: s.text(60), b: s.text(60), seamIn: s.within(0, 100_000) })),
      'machine?': s.object({
        'throatIn?': s.within(4, 60),
        'feet?': s.list(s.footId),
        'rulers?': s.list(s.oneOf(RULER_SHAPES)),
        'guided?': s.bool,
        'rowIn?': s.above0(100),
      }),
      'hand?': s.object({ 'usual?': level, 'levels?': levels }),
      'yarn?': s.object({ diameterMm: s.above0(20) }),
      'past?': s.list(s.object({ role, technique, went: s.oneOf(['well', 'fair', 'badly']) }), {
        maxItems: 5000,
      }),
      'preferences?': s.object({
        'ditch?': s.oneOf(['first', 'travel']),
        'motifs?': s.oneOf(['by-size', 'down', 'outline']),
      }),
      'proposals?': { type: 'integer', minimum: 0, maximum: 3 },
      'limit?': { type: 'integer', minimum: 1, maximum: 25 },
    }),
    s.answer({
      zones: s.list(
        s.object({
          id: s.text(),
          facts: { type: 'object' },
          picks: s.list(
            s.object({
              technique,
              spacingIn: s.nullable('number'),
              score: s.num,
              parts: { type: 'object' },
              minutes: range,
              threadM: s.num,
              lineDensity: s.num,
              openIn: s.num,
              softness: s.oneOf(SOFTNESSES),
              forgiving: s.num,
              texture: s.oneOf(['quiet', 'even', 'strong']),
              how: s.text(),
              reasons: s.reasons,
              cautions: s.cautions,
            }),
          ),
          refused,
          'wouldFit?': s.list(s.object({ limit: s.text(), technique, text: s.text() })),
          cautions: s.cautions,
        }),
      ),
      proposals: s.list(
        s.object({
          kind: s.oneOf(['few-motifs', 'rich', 'edge-to-edge']),
          zones: s.list(
            s.object({
              id: s.text(),
              technique,
              spacingIn: s.nullable('number'),
              lineDensity: s.num,
              minutes: s.num,
            }),
          ),
          minutes: s.num,
          withinHours: s.bool,
          motifs: s.list(technique),
          evenness: s.num,
          order: s.list(s.object({ zone: s.text(), act: technique, why: s.text() })),
          reasons: s.reasons,
          cautions: s.cautions,
        }),
      ),
    }),
    motifs,
  ),
};
