import { ACTS, HAND, type HoursBelief, isPersonEffect } from '@/core/hours/factors';
import type { EffectKind, TensionLearning } from '@/core/learning/tension';
import { techniques } from '@/core/tables/techniques';
import { readBattings } from '@/data/cloths';
import { readAllCones } from '@/data/cones';
import { readMachines } from '@/data/machines';
import type { Sql } from '@/data/sql';
import { readHours } from './hours';
import { readTensionLearning } from './searches';

export interface ShownSearch {
  setupId: string;
  quiltId: string;
  quilt: string;
  zoneId: string;
  letter: string;
  provenAt: Date;
  rounds: number;
  /** How far the first guess lay from what was proven, %. */
  offPct: number;
  /** Why it is not learned from; nothing when it is. */
  out: 'by you' | 'another cause is likelier' | null;
  kept: boolean;
}

/** One effect by name: mean and sd on the logarithm, and how many entries of the log it rests on. */
interface Effect {
  name: string;
  mean: number;
  sd: number;
  rests: number;
}

export interface LearnedView {
  tension: readonly Effect[];
  held: { bands: number; inside: number };
  widening: number;
  searches: readonly ShownSearch[];
  hours: readonly Effect[];
  steps: number;
}

const KIND_WORD = { machine: '', top: ', on top', bobbin: ', below', batting: '', needle: '' } as const;

/** What everything shares first, single threads last. */
const ORDER: readonly EffectKind[] = ['machine', 'batting', 'needle', 'top', 'bobbin'];

/** What the log says of hands, acts and techniques: the hand first. */
const hoursRows = (hours: HoursBelief): Effect[] =>
  [...hours.fit.effects]
    .filter(([effect]) => !isPersonEffect(effect))
    .sort(([a], [b]) => Number(b === HAND) - Number(a === HAND) || Number(b === ACTS) - Number(a === ACTS))
    .map(([effect, e]) => ({
      name:
        effect === HAND
          ? 'your hands'
          : effect === ACTS
            ? 'thread changes and stops'
            : (techniques.rows.find((t) => `technique ${t.id}` === effect)?.label ?? 'whole passes'),
      mean: e.mean,
      sd: e.sd,
      rests: e.observations,
    }));

/** What the air does, for twenty points damper; said as well while it is too unsure to be reckoned with. */
const airRow = ({ air }: TensionLearning): Effect[] =>
  air
    ? [
        {
          name: `air, 20 points damper${air.shown ? '' : ': not reckoned with yet'}`,
          mean: air.mean,
          sd: air.sd,
          rests: air.searches,
        },
      ]
    : [];

/** Everything the page of what was learned shows, under the names of the studio's own things. */
export async function readLearnedView(sql: Sql): Promise<LearnedView> {
  const [{ learning, searches }, hours, cones, machines, battings] = await Promise.all([
    readTensionLearning(sql),
    readHours(sql),
    readAllCones(sql),
    readMachines(sql),
    readBattings(sql),
  ]);
  const names = new Map<string, string>([
    ...cones.map((c): [string, string] => [c.id, `${c.line} ${c.colour}`]),
    ...machines.map((m): [string, string] => [m.id, m.name]),
    ...battings.map((b): [string, string] => [b.id, b.name]),
  ]);
  const out = new Set(learning.leftOut);
  const place = (kind: EffectKind) => ORDER.indexOf(kind);
  return {
    tension: [
      ...[...learning.effects]
        .sort((a, b) => place(a.kind) - place(b.kind) || b.searches - a.searches)
        .map((e) => ({
          name:
            e.kind === 'needle'
              ? `needle Nm ${e.id}`
              : `${names.get(e.id) ?? 'one that is gone'}${KIND_WORD[e.kind]}`,
          mean: e.mean,
          sd: e.sd,
          rests: e.searches,
        })),
      ...airRow(learning),
    ],
    held: learning.held,
    widening: learning.widening,
    searches: searches.map((s, i) => ({
      setupId: s.of.setupId,
      quiltId: s.of.quiltId,
      quilt: s.of.quilt,
      zoneId: s.of.zoneId,
      letter: s.of.letter,
      provenAt: s.of.provenAt,
      rounds: s.of.rounds,
      offPct: 100 * Math.abs(Math.expm1(s.mean + Math.log((s.of.ratioModel ?? s.of.ratio) / s.of.ratio))),
      out: !out.has(i) ? null : s.dropped ? 'by you' : 'another cause is likelier',
      kept: s.kept === true,
    })),
    hours: hoursRows(hours),
    steps: hours.steps,
  };
}
