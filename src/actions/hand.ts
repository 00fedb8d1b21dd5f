import 'reflect-metadata';
import { HABIT, type HabitFields } from '@/core/fields/habit';
import { stored, usualValues } from '@/core/fields/stored';
import { HAND, isPersonEffect, personEffect } from '@/core/hours/factors';
import { Z80 } from '@/core/statistics/normal';
import { levelSeen } from '@/core/hand/level';
import type { Level } from '@/core/motifs/request';
import { DRILLS } from '@/core/practice/drills';
import { type Judged, usualSpeed } from '@/core/practice/judge';
import { techniques } from '@/core/tables/techniques';
import { putHabit, readDrillsOf, readHabit, readHoursByTechnique, readTestedStitches } from '@/data/hand';
import type { Sql } from '@/data/sql';
import type { Context } from './context';
import { readHours } from './hours';
import { conflict, done, type Result } from './result';
import { asForm, Fields, FormKey, Version } from './rules';
import { MEANWHILE, save } from './save';

/** A hand in one technique: how long it sewed it, how steady it is, and how fast. */
export interface HandIn {
  technique: string;
  label: string;
  hours: number;
  steps: number;
  drills: number;
  level: Level | null;
  /** Speed of the drills, in/s, and its spread on the logarithm; null from fewer than three. */
  speed: { inPerS: number; sdLn: number; runs: number } | null;
  usualInPerS: number;
}

export type Habit = HabitFields & { version: number };

/** A run counts for its speed when most of the line was drawn, per cent. */
const MOST_DONE_PCT = 80;
/** A drill's line is drawn about so far from the next, inches: what straying is held against. */
const DRILL_SPACING_IN = 0.5;

/** How far a drill was off, as a share of the spacing. */
const errorOf = (j: Judged): number => j.offIn / DRILL_SPACING_IN;

/** A person's hand in every technique that she sewed or drilled, the most sewn first. */
export async function readHand(sql: Sql, personId: string): Promise<HandIn[]> {
  const [hours, drills, tested] = await Promise.all([
    readHoursByTechnique(sql, personId),
    readDrillsOf(sql, personId),
    readTestedStitches(sql, personId),
  ]);
  const drilled = drills.flatMap((d) => {
    const technique = DRILLS.find(d.drill)?.technique;
    return technique ? [{ ...d, technique }] : [];
  });
  const named = new Set([...hours.map((h) => h.technique), ...drilled.map((d) => d.technique)]);
  return [...named]
    .flatMap((id): HandIn[] => {
      const t = techniques.find(id);
      if (!t) return [];
      const own = drilled.filter((d) => d.technique === id);
      const sewn = hours.find((h) => h.technique === id);
      const seen = [
        ...tested.filter((x) => x.technique === id).map((x) => ({ error: x.cvPct / 100 })),
        ...own.map((d) => ({ error: errorOf(d.judged) })),
      ];
      return [
        {
          technique: id,
          label: t.label,
          hours: sewn?.hours ?? 0,
          steps: sewn?.steps ?? 0,
          drills: own.length,
          level: levelSeen(seen, sewn?.hours ?? 0),
          speed: usualSpeed(
            own.filter((d) => d.judged.donePct >= MOST_DONE_PCT).map((d) => d.judged.meanInPerS),
          ),
          usualInPerS: t.handInPerS,
        },
      ];
    })
    .sort((a, b) => b.hours - a.hours || b.drills - a.drills);
}

/** How long a person's hands take against what a plan says before anything is learned: 1 as long; the 80 % range; by so many steps. */
export interface OwnHours {
  factor: number;
  low: number;
  high: number;
  steps: number;
}

/** A person's hours against the models'; null before anything of hers was logged. */
export async function readOwnHours(sql: Sql, personId: string): Promise<OwnHours | null> {
  const { fit } = await readHours(sql);
  const own = personEffect(personId);
  // Alone, she is the studio's hand.
  const loads = fit.effects.has(own)
    ? ([
        [HAND, 1],
        [own, 1],
      ] as const)
    : ([[HAND, 1]] as const);
  const steps = fit.effects.get(fit.effects.has(own) ? own : HAND)?.observations ?? 0;
  const several = [...fit.effects.keys()].some(isPersonEffect);
  if (steps === 0 || (several && !fit.effects.has(own))) return null;
  const { mean, variance } = fit.predict(loads);
  const spread = Math.exp(Z80 * Math.sqrt(variance));
  return { factor: Math.exp(mean), low: Math.exp(mean) / spread, high: Math.exp(mean) * spread, steps };
}

export const readHabitOf = async (sql: Sql, personId: string): Promise<Habit> =>
  (await readHabit(sql, personId)) ?? {
    ...(usualValues(HABIT) as HabitFields),
    elbowIn: null,
    reachIn: null,
    version: 0,
  };

/** Levels by technique for what is to be quilted, where they can be told. */
export const levelsOf = (hand: readonly HandIn[]): Record<string, Level> =>
  Object.fromEntries(hand.flatMap((h) => (h.level ? [[h.technique, h.level]] : [])));

/** The speeds Match takes in place of the usual ones, in/s: as drilled, where the person said so. */
export async function readOwnSpeeds(sql: Sql, personId: string): Promise<Readonly<Record<string, number>>> {
  const habit = await readHabit(sql, personId);
  if (!habit?.ownSpeeds) return {};
  const hand = await readHand(sql, personId);
  return Object.fromEntries(hand.flatMap((h) => (h.speed ? [[h.technique, h.speed.inPerS]] : [])));
}

@Fields(HABIT)
export class KeepHabit {
  @FormKey() key!: string;
  @Version() version!: number;
}
type HabitForm = KeepHabit & HabitFields;

/** Keeps how a person works at the machine. */
export const keepHabit = (context: Context, input: unknown): Promise<Result<{ version: number }>> =>
  save<HabitForm, { version: number }>(
    context,
    'keep-habit',
    asForm<HabitForm>(KeepHabit),
    input,
    async (tx, form) =>
      (await putHabit(tx, context.actor.id, stored(HABIT, form), form.version))
        ? done({ version: form.version + 1 })
        : conflict(MEANWHILE),
  );
