import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray } from 'class-validator';
import simplify from 'simplify-js';
import { v7 as uuidv7 } from 'uuid';
import { CoreError } from '@/core/notes';
import { DRILLS } from '@/core/practice/drills';
import { drillRequest, judge, type Judged } from '@/core/practice/judge';
import { MODES, type Mode } from '@/core/stitch/machine';
import { readMachines } from '@/data/machines';
import { insertRun, setTakenBack } from '@/data/practice';
import type { Context } from './context';
import { done, refuse, type Result } from './result';
import { EachOf, FormKey, Id, Num, OneOf, Yes } from './rules';
import { save } from './save';

/** Where the hand was, and when. */
class Place {
  @Num(0, 3_600_000, 'Milliseconds') tMs!: number;
  @Num(-20, 60, 'Inches from the left') xIn!: number;
  @Num(-20, 60, 'Inches from the top') yIn!: number;
}

export class KeepPractice {
  @FormKey() key!: string;
  @OneOf(DRILLS.ids, 'Pick the drill.') drill!: string;
  @Id('Pick the machine.') machineId!: string;
  @OneOf(MODES, 'Pick how the machine is regulated.') mode!: Mode;
  @Num(3, 25, 'Stitches per inch') spi!: number;
  @IsArray({ message: 'The line could not be read.' })
  @ArrayMinSize(10, { message: 'Draw the drill first.' })
  @ArrayMaxSize(20_000, { message: 'That line is too long for a drill.' })
  @EachOf(() => Place)
  path!: Place[];
}

/** The line is kept so fine, inches. */
const NEAR_IN = 0.01;

/** Judges a drill on the server as the page did, and keeps it. */
export const keepPractice = (
  context: Context,
  input: unknown,
): Promise<Result<{ id: string; judged: Judged }>> =>
  save<KeepPractice, { id: string; judged: Judged }>(
    context,
    'keep-practice',
    KeepPractice,
    input,
    async (tx, { drill, machineId, mode, spi, path }) => {
      const machine = (await readMachines(tx)).find((m) => m.id === machineId);
      if (!machine) return refuse('Pick the machine.', 'machineId');
      try {
        const judged = judge(drill, drillRequest(machine, mode, spi, path));
        const id = uuidv7();
        const line = simplify(
          path.map((p) => ({ x: p.xIn, y: p.yIn })),
          NEAR_IN,
          true,
        ).map((p) => [p.x, p.y] as const);
        await insertRun(tx, { id, drill, mode, spi, judged, path: line });
        return done({ id, judged });
      } catch (error) {
        if (error instanceof CoreError) return refuse(error.message, 'path');
        throw error;
      }
    },
  );

export class TakeBackPractice {
  @FormKey() key!: string;
  @Id('This run is not known. Reload the page.') id!: string;
  @Yes() back!: boolean;
}

/** Takes a run back, or lets it count again. */
export const takeBackPractice = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<TakeBackPractice, { id: string }>(
    context,
    'take-back-practice',
    TakeBackPractice,
    input,
    async (tx, { id, back }) =>
      (await setTakenBack(tx, id, back))
        ? done({ id })
        : refuse('This run is not known. Reload the page.', 'id'),
  );
