import 'reflect-metadata';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, ArrayUnique, IsArray, IsIn, ValidateNested } from 'class-validator';
import { v7 as uuidv7 } from 'uuid';
import { fitCalibration } from '@/core/calibration/monotone';
import { MODES, type Mode } from '@/core/stitch/machine';
import { FEET, type FootId } from '@/core/tables/techniques';
import { insertMachine, type MachineFields, updateMachine, upsertCalibration } from '@/data/machines';
import type { CalibrationKind } from '@/data/types';
import { conflict, done, refuse, type Result } from './result';
import { FormKey, Id, Maybe, Num, OneOf, QuiltId, Text, Version, Words, Yes } from './rules';
import { MEANWHILE, save } from './save';

/** A machine and its frame, as the manual and a tape measure give them. */
export class KeepMachine {
  @FormKey() key!: string;
  @Maybe() @Id('This machine is not known. Reload the page.') id?: string | null;
  @Version() version!: number;
  @Words(120, 'Give the machine a name.') name!: string;
  @Text(120) shank!: string;
  @Num(100, 10_000, 'The highest rate, stitches a minute,') maxSpm!: number;
  @Num(0, 10_000, 'The lowest idle') idleMinSpm!: number;
  @Num(0, 10_000, 'The highest idle') idleMaxSpm!: number;
  @Num(1, 40, 'Fewest stitches per inch') minSpi!: number;
  @Num(1, 40, 'Most stitches per inch') maxSpi!: number;
  @IsArray({ message: 'Pick at least one mode.' })
  @ArrayMinSize(1, { message: 'Pick at least one mode.' })
  @ArrayUnique({ message: 'A mode stands twice.' })
  @IsIn([...MODES], { each: true, message: 'Idling, resting or manual.' })
  modes!: Mode[];
  @IsArray({ message: 'Pick at least one foot.' })
  @ArrayMinSize(1, { message: 'Pick at least one foot.' })
  @ArrayUnique({ message: 'A foot stands twice.' })
  @IsIn([...FEET], { each: true, message: 'Pick the feet from the list.' })
  feet!: FootId[];
  @Num(5, 60, 'The bobbin’s outer diameter, mm,') bobbinOdMm!: number;
  @Num(0.5, 59, 'The bobbin’s core, mm,') bobbinCoreMm!: number;
  @Num(2, 40, 'The bobbin’s inner width, mm,') bobbinWidthMm!: number;
  @Num(4, 60, 'The throat, in inches,') throatIn!: number;
  @Num(0, 59, 'The dead space, in inches,') deadIn!: number;
  @Num(10, 300, 'The frame’s width, in inches,') frameIn!: number;
  @Yes() rollInThroat!: boolean;
  @Num(0.5, 12, 'The empty roller, in inches,') rollStartIn!: number;
  @Num(1, 20, 'The ruler thickness the foot asks, mm,') rulerFootMm!: number;
  @Num(0.05, 1, 'From needle to the foot’s edge, in inches,') footOffsetIn!: number;
  @Maybe() @Num(0.5, 12, 'The couching foot’s hole, mm,') couchingHoleMm?: number | null;
}

/** What does not fit together in a machine, at its field. */
export function soundMachine(m: KeepMachine): Result<null> {
  if (m.idleMinSpm > m.idleMaxSpm)
    return refuse(`The idle range runs backwards: ${m.idleMinSpm} to ${m.idleMaxSpm}.`, 'idleMaxSpm');
  if (m.idleMaxSpm > m.maxSpm) return refuse('The machine cannot idle faster than it sews.', 'idleMaxSpm');
  if (m.minSpi > m.maxSpi) return refuse(`The range runs backwards: ${m.minSpi} to ${m.maxSpi}.`, 'maxSpi');
  if (m.bobbinCoreMm >= m.bobbinOdMm)
    return refuse('The core must be thinner than the whole bobbin.', 'bobbinCoreMm');
  if (m.deadIn >= m.throatIn) return refuse('The dead space must be less than the throat.', 'deadIn');
  return done(null);
}

export const keepMachine = (input: unknown): Promise<Result<{ id: string }>> =>
  save<KeepMachine, { id: string }>(
    'keep-machine',
    KeepMachine,
    input,
    async (tx, form) => {
      const sound = soundMachine(form);
      if (!sound.ok) return sound;
      const fields: MachineFields = {
        ...form,
        name: form.name.trim(),
        shank: form.shank.trim(),
        couchingHoleMm: form.couchingHoleMm ?? null,
      };
      if (form.id)
        return (await updateMachine(tx, form.id, fields, form.version))
          ? done({ id: form.id })
          : conflict(MEANWHILE);
      const id = uuidv7();
      await insertMachine(tx, id, fields);
      return done({ id });
    },
    { machine_name_key: ['name', 'Another machine already has this name.'] },
  );

class Measured {
  @Num(-1000, 100_000, 'The mark') mark!: number;
  @Num(0, 100_000, 'What was measured') value!: number;
}

const CALIBRATION_KINDS: readonly CalibrationKind[] = ['speed-dial', 'top-dial', 'bobbin-turns'];

export class Calibrate {
  @FormKey() key!: string;
  @Id('Pick the machine.') machineId!: string;
  @OneOf(CALIBRATION_KINDS, 'Say what is calibrated.') kind!: CalibrationKind;
  @IsArray({ message: 'Measure at two or more settings.' })
  @ArrayMinSize(2, { message: 'Measure at two or more settings.' })
  @ArrayMaxSize(40, { message: 'At most forty measurements.' })
  @ValidateNested({ each: true })
  @Type(() => Measured)
  points!: Measured[];
}

/** Stores a calibration; a curve that makes no sense is refused by the core. */
export const calibrate = (input: unknown): Promise<Result<{ rmsShare: number }>> =>
  save<Calibrate, { rmsShare: number }>('calibrate', Calibrate, input, async (tx, form) => {
    const points = form.points.map(({ mark, value }) => ({ mark, value }));
    const { rmsShare } = fitCalibration(points);
    await upsertCalibration(tx, uuidv7(), form.machineId, form.kind, points);
    return done({ rmsShare });
  });

export class UseMachine {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Id('Pick the machine.') machineId!: string;
}

/** Says which machine a quilt is sewn on. */
export const sewOn = (input: unknown): Promise<Result<{ machineId: string }>> =>
  save<UseMachine, { machineId: string }>(
    'use-machine',
    UseMachine,
    input,
    async (tx, form) => {
      const rows =
        await tx`update quilt set machine_id = ${form.machineId} where id = ${form.quiltId} returning id`;
      return rows.length === 1
        ? done({ machineId: form.machineId })
        : refuse('This quilt is not known. Go back to the Rack.', 'quiltId');
    },
    { one_quilt_on_a_frame: ['machineId', 'Another quilt is on that machine’s frame now.'] },
  );
