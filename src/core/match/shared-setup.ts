import { drawTechnique, LOOKS } from '../audition/draw';
import { readShared, sharedFile } from '../exchange/shared';
import { USES, VISIBILITIES } from '../fields/lists';
import { rect } from '../geometry/polygon';
import { linesSvg } from '../pattern/lay';
import { MODE_LABEL, MODES } from '../stitch/machine';
import { battings } from '../tables/battings';
import { fabrics } from '../tables/fabrics';
import { needleName } from '../tables/needles';
import { FEET, FOOT_LABEL, techniques } from '../tables/techniques';
import type { QuickAnswer, QuickAsk } from './quick';
import type { MatchMachine } from './request';
import type { Setup } from './setup';

/** A thread as another studio can find it again: its name there, and what it is. */
interface SharedThread {
  name: string;
  tex: number;
  fibre: string;
}

/** What of a set-up is given: what it is for, what was taken, and the machine it was taken for. */
export interface SharedSetup {
  ask: Omit<QuickAsk, 'thread'>;
  top: SharedThread;
  bobbin: SharedThread;
  setup: Pick<Setup, 'needle' | 'foot' | 'spi' | 'mode' | 'handInPerS' | 'topGf' | 'bobbinGf'>;
  machine: Pick<MatchMachine, 'maxSpm' | 'modes' | 'feet'>;
  svg: string;
}

const KIND = 'tidy-spool-set-up';
/** The technique is drawn in a field of this size, inches. */
const FIELD = [8, 5] as const;

const drawingOf = (technique: string): string =>
  linesSvg(
    LOOKS[technique]
      ? drawTechnique({
          shape: [[rect(0, 0, ...FIELD)]],
          technique,
          spacingIn: techniques.get(technique).usualSpacingIn,
        }).lines
      : [],
    [0, 0],
    ...FIELD,
  );

const threadOf = ({
  name = '',
  tex,
  fibre,
}: {
  name?: string;
  tex: number;
  fibre: string;
}): SharedThread => ({
  name,
  tex,
  fibre,
});

/** The file of a set-up: what it is for, what was worked out, for which machine, and how its technique looks. */
export function sharedSetupFile(ask: QuickAsk, told: QuickAnswer, machine: MatchMachine): string {
  const { thread: _, ...rest } = ask;
  const { needle, foot, spi, mode, handInPerS, topGf, bobbinGf } = told.setup;
  return sharedFile(KIND, {
    ask: rest,
    top: threadOf(told.top),
    bobbin: threadOf(told.bobbin),
    setup: { needle, foot, spi, mode, handInPerS, topGf, bobbinGf },
    machine: { maxSpm: machine.maxSpm, modes: machine.modes, feet: machine.feet },
    svg: drawingOf(ask.technique),
  } satisfies SharedSetup);
}

type Loose = Readonly<Record<string, unknown>>;
const isRecord = (v: unknown): v is Loose => typeof v === 'object' && v !== null && !Array.isArray(v);
const isNumber = (v: unknown, low: number, high: number): v is number =>
  typeof v === 'number' && v >= low && v <= high;
const isOneOf = (list: readonly unknown[], v: unknown) => list.includes(v);
const isThread = (v: unknown): v is SharedThread =>
  isRecord(v) && typeof v.name === 'string' && isNumber(v.tex, 1, 500) && typeof v.fibre === 'string';

const isAsk = (v: unknown): v is SharedSetup['ask'] =>
  isRecord(v) &&
  fabrics.find(String(v.fabric)) !== undefined &&
  fabrics.find(String(v.backing)) !== undefined &&
  battings.find(String(v.batting)) !== undefined &&
  techniques.find(String(v.technique)) !== undefined &&
  isOneOf(USES, v.use) &&
  isOneOf(VISIBILITIES, v.visibility);

const isSet = (v: unknown): v is SharedSetup['setup'] =>
  isRecord(v) &&
  isRecord(v.needle) &&
  isNumber(v.needle.nm, 50, 200) &&
  isOneOf(['standard', 'large'], v.needle.eye) &&
  isOneOf(FEET, v.foot) &&
  isNumber(v.spi, 2, 30) &&
  isOneOf(MODES, v.mode) &&
  isNumber(v.handInPerS, 0.01, 20) &&
  isNumber(v.topGf, 1, 2000) &&
  isNumber(v.bobbinGf, 1, 500);

const isMachine = (v: unknown): v is SharedSetup['machine'] =>
  isRecord(v) && isNumber(v.maxSpm, 100, 10_000) && Array.isArray(v.modes) && Array.isArray(v.feet);

/** A set-up somebody gave, read again; null where a text is none, words where it cannot be taken in. */
export function readSharedSetup(text: string): SharedSetup | string | null {
  const read = readShared(text, KIND, 'set-up');
  if (read === null || typeof read === 'string') return read;
  const { ask, top, bobbin, setup, machine, svg } = read;
  if (!isAsk(ask)) return 'This set-up names a fabric, batting or technique that is not known here.';
  if (!isThread(top) || !isThread(bobbin) || !isSet(setup) || !isMachine(machine))
    return 'This set-up is not whole: something in it was changed or lost.';
  const { fabric, batting, technique, backing, use, visibility } = ask;
  return {
    ask: { fabric, batting, technique, backing, use, visibility },
    top: threadOf(top),
    bobbin: threadOf(bobbin),
    setup,
    machine,
    svg: typeof svg === 'string' ? svg : '',
  };
}

/** The thread of a shared set-up as a label this studio can read. */
export const labelOf = ({ name, tex, fibre }: SharedThread): string => `${name} tex ${tex} ${fibre}`.trim();

/** One thing of a set-up: what it was there, what it is here, and why where it cannot be the same. */
export interface SetupDifference {
  what: string;
  there: string;
  here: string;
  why?: string;
}

const grams = (gf: number) => `${gf >= 40 ? Math.round(gf) : Number((Math.round(gf * 2) / 2).toFixed(1))} g`;
const one = (n: number) => String(Number(n.toFixed(1)));

/** One line of both set-ups, and whether they say the same. */
const row = (
  what: string,
  there: string,
  here: string,
  why: string | false = false,
  same = there === here,
): SetupDifference & { same: boolean } => ({ what, there, here, same, ...(why && { why }) });

/** What is otherwise here than where a set-up comes from, matched anew for this machine and shelf. */
export function differences(there: SharedSetup, told: QuickAnswer, machine: MatchMachine): SetupDifference[] {
  const { setup: a } = there;
  const b = told.setup;
  const noFoot = !machine.feet.includes(a.foot) && `no ${FOOT_LABEL[a.foot].toLowerCase()} here`;
  const noMode = !machine.modes.includes(a.mode) && 'this machine does not do it';
  const slower =
    machine.maxSpm < there.machine.maxSpm &&
    `this machine sews ${machine.maxSpm} stitches a minute, that one ${there.machine.maxSpm}`;
  const needle = ({ nm, eye }: typeof a.needle) => needleName(nm, eye);
  const rows = [
    row('Top thread', there.top.name, told.top.name ?? '', false, sameThread(there.top, told.top)),
    row(
      'Bobbin thread',
      there.bobbin.name,
      told.bobbin.name ?? '',
      false,
      sameThread(there.bobbin, told.bobbin),
    ),
    row('Needle', needle(a.needle), needle(b.needle)),
    row('Foot', FOOT_LABEL[a.foot], FOOT_LABEL[b.foot], noFoot),
    row('Stitches per inch', one(a.spi), one(b.spi)),
    row('Regulator', MODE_LABEL[a.mode], MODE_LABEL[b.mode], noMode),
    row('Sewing speed', `${one(a.handInPerS)} in/s`, `${one(b.handInPerS)} in/s`, slower),
    row('Top tension', grams(a.topGf), grams(b.topGf)),
    row('Bobbin tension', grams(a.bobbinGf), grams(b.bobbinGf)),
  ];
  return rows.filter((r) => !r.same).map(({ same: _, ...r }) => r);
}

const sameThread = (a: SharedThread, b: { tex: number; fibre: string }) =>
  a.fibre === b.fibre && Math.abs(Math.log(a.tex / b.tex)) < 0.05;
