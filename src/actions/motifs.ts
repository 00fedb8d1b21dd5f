import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray } from 'class-validator';
import { seamsOf } from '@/core/geometry/neighbours';
import { MOTIFS, type Role, ROLES } from '@/core/motifs/motif-table';
import { techniques } from '@/core/tables/techniques';
import type { MotifsRequest } from '@/core/motifs/request';
import { guessRole, shapeNumbers } from '@/core/motifs/zone-shape';
import { lockQuilt } from '@/data/quilts';
import type { Machine, Preferences, Ruler } from '@/data/types';
import type { Sql } from '@/data/sql';
import { readQuilted, setRole, setWork, type WorkBefore } from '@/data/zones';
import { type HandIn, levelsOf } from './hand';
import { LaidBefore } from './patterns';
import type { Context } from './context';
import type { QuiltView } from './quilt-view';
import { conflict, done, type Result } from './result';
import { EachOf, FormKey, Id, Maybe, Num, OneOf, QuiltId, Version, PartOf } from './rules';
import { MEANWHILE, save } from './save';

/** So many zones of the newest quilts say what a studio likes. */
const MOST_PAST = 300;
/** Faults in one zone from which it went badly (judgement); one is fair. */
const BADLY_FROM = 2;

/** What this studio chose before in such zones, and how it went by its faults. */
export const readPastMotifs = async (sql: Sql): Promise<NonNullable<MotifsRequest['past']>> =>
  (await readQuilted(sql, MOST_PAST)).flatMap((z) =>
    MOTIFS.find(z.technique)
      ? [
          {
            role: z.role ?? guessRole(z.name, z.zones),
            technique: z.technique,
            went: z.faults >= BADLY_FROM ? 'badly' : z.faults === 1 ? 'fair' : 'well',
          },
        ]
      : [],
  );

/** What of a studio moves what it quilts: its machine, its rulers, its ways. */
export const motifStudio = (
  machine: Pick<Machine, 'throatIn' | 'feet'>,
  rulers: readonly Pick<Ruler, 'shape'>[],
  preferences: Pick<Preferences, 'ditchSchool' | 'motifSchool'>,
): Pick<MotifsRequest, 'machine' | 'preferences'> => ({
  machine: {
    throatIn: machine.throatIn,
    feet: machine.feet,
    rulers: [...new Set(rulers.map((r) => r.shape))],
  },
  preferences: {
    ditch: preferences.ditchSchool === 'as-travel' ? 'travel' : 'first',
    motifs: preferences.motifSchool,
  },
});

/** A stored quilt as it is asked what to quilt where. */
export function motifsRequest(
  { quilt, zones }: QuiltView,
  machine: Machine,
  rulers: readonly Ruler[],
  preferences: Pick<Preferences, 'evenness' | 'ditchSchool' | 'motifSchool'>,
  past: MotifsRequest['past'] = [],
  hand: readonly HandIn[] = [],
): MotifsRequest {
  return {
    quilt: {
      widthIn: quilt.widthIn,
      lengthIn: quilt.lengthIn,
      use: quilt.use,
      battingId: quilt.battingKind,
      battingMaxGapIn: quilt.battingMaxGapIn ?? undefined,
      backing: quilt.backingKind,
      evenness: preferences.evenness,
    },
    zones: zones.map((z) => ({
      id: z.id,
      role: z.role ?? guessRole(z.name, zones.length),
      ...shapeNumbers(z.geometry),
      top: z.fabrics.map((f) => ({ fabric: f.kind, busyness: f.busyness ?? undefined, share: f.share })),
      features: z.features,
      softness: z.softness ?? undefined,
      visibility: z.visibility,
    })),
    neighbours: seamsOf(zones).map(({ a, b, lengthIn }) => ({ a, b, seamIn: lengthIn })),
    ...motifStudio(machine, rulers, preferences),
    past,
    hand: { levels: levelsOf(hand) },
  };
}

class ZoneWork {
  @Id('This zone is not known. Reload the page.') zoneId!: string;
  @Version() version!: number;
  @OneOf(techniques.ids, 'Pick a technique from the list.') technique!: string;
  /** Nothing: it has none of its own. */
  @Maybe() @Num(0.05, 200, 'The spacing, in inches,') spacingIn?: number | null;
  /** What an undo gives back with it. */
  @Maybe() @Num(0.01, 100, 'The smallest curve, in inches,') smallestRadiusIn?: number | null;
  @Maybe() @Num(0.1, 1_000_000, 'The length of the lines, in inches,') lengthIn?: number | null;
  @Maybe() @PartOf(() => LaidBefore) pattern?: LaidBefore | null;
}

export class QuiltZones {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @IsArray({ message: 'What is to be quilted could not be read.' })
  @ArrayMinSize(1, { message: 'Pick at least one zone.' })
  @ArrayMaxSize(200, { message: 'That is more zones than a quilt has.' })
  @EachOf(() => ZoneWork)
  zones!: ZoneWork[];
}

/** Says what is quilted in several zones at once: all of them, or none when one was changed meanwhile. */
export const quiltZones = (context: Context, input: unknown): Promise<Result<{ before: WorkBefore[] }>> =>
  save(context, 'quilt-zones', QuiltZones, input, async (tx, form) => {
    await lockQuilt(tx, form.quiltId);
    const before: WorkBefore[] = [];
    for (const z of form.zones) {
      const was = await setWork(tx, form.quiltId, z);
      if (!was) return conflict(MEANWHILE);
      before.push(was);
    }
    return done({ before });
  });

export class SetZoneRole {
  @FormKey() key!: string;
  @Id('This zone is not known. Reload the page.') zoneId!: string;
  @OneOf(ROLES, 'Pick what it is from the list.') role!: Role;
}

/** Says what a zone is in its quilt. */
export const setZoneRole = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<SetZoneRole, { id: string }>(context, 'set-zone-role', SetZoneRole, input, async (tx, form) =>
    (await setRole(tx, form.zoneId, form.role)) ? done({ id: form.zoneId }) : conflict(MEANWHILE),
  );
