import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray } from 'class-validator';
import { v7 as uuidv7 } from 'uuid';
import { fitCalibration } from '@/core/calibration/monotone';
import { CALIBRATION, CALIBRATION_POINT, type CalibrationPoint } from '@/core/fields/calibration';
import type { CalibrationKind } from '@/core/fields/lists';
import { MACHINE, type MachineFields } from '@/core/fields/machine';
import { stored } from '@/core/fields/stored';
import { insertMachine, updateMachine, upsertCalibration } from '@/data/machines';
import { updateMachineOf } from '@/data/quilts';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { asForm, EachOf, Fields, FormKey, Id, Maybe, QuiltId, Version } from './rules';
import { MEANWHILE, save } from './save';

/** A machine and its frame, as the manual and a tape measure give them. */
@Fields(MACHINE)
export class KeepMachine {
  @FormKey() key!: string;
  @Maybe() @Id('This machine is not known. Reload the page.') id?: string | null;
  @Version() version!: number;
}
export type MachineForm = KeepMachine & MachineFields;

/** What does not fit together in a machine, at its field. */
export function checkMachine(m: MachineFields): Result<null> {
  if (m.idleMinSpm > m.idleMaxSpm)
    return refuse(`The idle range runs backwards: ${m.idleMinSpm} to ${m.idleMaxSpm}.`, 'idleMaxSpm');
  if (m.idleMaxSpm > m.maxSpm) return refuse('The machine cannot idle faster than it sews.', 'idleMaxSpm');
  if (m.minSpi > m.maxSpi) return refuse(`The range runs backwards: ${m.minSpi} to ${m.maxSpi}.`, 'maxSpi');
  if (m.bobbinCoreMm >= m.bobbinOdMm)
    return refuse('The core must be thinner than the whole bobbin.', 'bobbinCoreMm');
  if (m.deadIn >= m.throatIn) return refuse('The dead space must be less than the throat.', 'deadIn');
  return done(null);
}

export const keepMachine = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<MachineForm, { id: string }>(
    context,
    'keep-machine',
    asForm<MachineForm>(KeepMachine),
    input,
    async (tx, form) => {
      const fits = checkMachine(form);
      if (!fits.ok) return fits;
      const fields = stored(MACHINE, form);
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

@Fields(CALIBRATION_POINT)
class Measured {}

@Fields(CALIBRATION)
export class Calibrate {
  @FormKey() key!: string;
  @Id('Pick the machine.') machineId!: string;
  kind!: CalibrationKind;
  @IsArray({ message: 'Measure at two or more settings.' })
  @ArrayMinSize(2, { message: 'Measure at two or more settings.' })
  @ArrayMaxSize(40, { message: 'At most forty measurements.' })
  @EachOf(() => Measured)
  points!: CalibrationPoint[];
}

/** Stores a calibration; a curve that makes no sense is refused by the core. */
export const calibrate = (context: Context, input: unknown): Promise<Result<{ rmsShare: number }>> =>
  save<Calibrate, { rmsShare: number }>(context, 'calibrate', Calibrate, input, async (tx, form) => {
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
export const sewOn = (context: Context, input: unknown): Promise<Result<{ machineId: string }>> =>
  save<UseMachine, { machineId: string }>(
    context,
    'use-machine',
    UseMachine,
    input,
    async (tx, form) => {
      return (await updateMachineOf(tx, form.quiltId, form.machineId))
        ? done({ machineId: form.machineId })
        : refuse('This quilt is not known. Go back to the Rack.', 'quiltId');
    },
    { one_quilt_on_a_frame: ['machineId', 'Another quilt is on that machine’s frame now.'] },
  );
