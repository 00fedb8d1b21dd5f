import 'reflect-metadata';
import { DIRECTIONS, type Direction } from '@/core/fields/lists';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { v7 as uuidv7 } from 'uuid';
import { contains } from '@/core/geometry/polygon';
import { symptoms } from '@/core/tables/symptoms';
import { insertFault, updateFaultStatus } from '@/data/faults';
import { readQuilt } from '@/data/quilts';
import type { FaultState } from '@/core/fields/lists';
import { readZones } from '@/data/zones';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { FormKey, Id, QuiltId } from './rules';
import { save } from './save';

/** A stitch fault as it was seen. */
export class LogFault {
  @FormKey() key!: string;

  @QuiltId() quiltId!: string;

  @IsOptional()
  @Id('Pick a zone of this quilt.')
  zoneId?: string | null;

  @IsArray({ message: 'Say what you saw.' })
  @ArrayMinSize(1, { message: 'Say what you saw: pick at least one.' })
  @ArrayMaxSize(10, { message: 'Pick at most ten.' })
  @ArrayUnique({ message: 'The same sign is picked twice.' })
  @IsIn(symptoms.ids, { each: true, message: 'Pick from the list of what can be seen.' })
  symptoms!: string[];

  @IsOptional()
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'Press the place on the quilt map.' })
  xIn?: number | null;

  @IsOptional()
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'Press the place on the quilt map.' })
  yIn?: number | null;

  @IsOptional()
  @IsInt({ message: 'Give the pass as a whole number, such as 3.' })
  @Min(1, { message: 'Passes are numbered from 1.' })
  @Max(200, { message: 'A quilt has fewer than 200 passes.' })
  pass?: number | null;

  @IsOptional()
  @IsIn(DIRECTIONS, { message: 'Pick the direction from the list.' })
  direction?: Direction | null;

  @IsString({ message: 'The note must be text.' })
  @MaxLength(2000, { message: 'Keep the note under 2000 letters.' })
  note!: string;
}

/** Stores a fault on a quilt. A place on the map names the zone when none was picked. */
export const logFault = (context: Context, input: unknown): Promise<Result<{ n: number }>> =>
  save<LogFault, { n: number }>(context, 'log-fault', LogFault, input, async (tx, form) => {
    const quilt = await readQuilt(tx, form.quiltId);
    if (!quilt) return refuse('This quilt is not known. Go back to the Rack.', 'quiltId');
    const zones = await readZones(tx, quilt.id);
    const x = form.xIn ?? null;
    const y = form.yIn ?? null;
    if ((x === null) !== (y === null)) return refuse('Press the place on the quilt map.', 'xIn');
    if (x !== null && y !== null && (x < 0 || y < 0 || x > quilt.widthIn || y > quilt.lengthIn))
      return refuse(
        `That place lies beyond the quilt, which is ${quilt.widthIn} by ${quilt.lengthIn} in.`,
        'xIn',
      );
    if (form.zoneId && !zones.some((z) => z.id === form.zoneId))
      return refuse('That zone is not on this quilt.', 'zoneId');
    if (form.pass && quilt.passes && form.pass > quilt.passes)
      return refuse(`This quilt has ${quilt.passes} passes.`, 'pass');
    const under = x !== null && y !== null ? zones.find((z) => contains(z.geometry, [x, y])) : undefined;
    const n = await insertFault(tx, {
      id: uuidv7(),
      quiltId: quilt.id,
      zoneId: form.zoneId ?? under?.id ?? null,
      xIn: x,
      yIn: y,
      pass: form.pass ?? null,
      direction: form.direction ?? null,
      note: form.note.trim(),
      symptoms: form.symptoms,
    });
    return done({ n });
  });

const STATUSES: readonly FaultState[] = ['open', 'mended', 'left'];

export class SetFaultStatus {
  @FormKey() key!: string;

  @Id('This fault is not known. Reload the page.') faultId!: string;

  @IsInt({ message: 'Reload the page; the fault’s version is missing.' })
  version!: number;

  @IsIn(STATUSES, { message: 'A fault is open, mended or left.' })
  status!: FaultState;
}

/** Marks a fault mended, left, or open again. */
export const setFaultStatus = (context: Context, input: unknown): Promise<Result<{ version: number }>> =>
  save<SetFaultStatus, { version: number }>(
    context,
    'set-fault-status',
    SetFaultStatus,
    input,
    async (tx, { faultId, version, status }) =>
      (await updateFaultStatus(tx, faultId, version, status))
        ? done({ version: version + 1 })
        : conflict('This fault was changed in another window meanwhile. Reload to see it.'),
  );
