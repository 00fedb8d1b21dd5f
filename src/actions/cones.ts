import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray, isUUID } from 'class-validator';
import { format } from 'date-fns';
import { v7 as uuidv7 } from 'uuid';
import { checkTex, metresFromWeight } from '@/core/shelf/cone';
import { needleRangeProblem } from '@/core/exchange/read-row';
import type { Field } from '@/core/fields/field';
import { CONE, CONE_REMAINING, type ConeFields } from '@/core/fields/cone';
import { CONE_ROLES, type ConeRole, type Sheen, SHEENS } from '@/core/fields/lists';
import { stored } from '@/core/fields/stored';
import { soundness, soundnessWords } from '@/core/thread/age';
import { describeThread } from '@/core/thread/describe';
import {
  insertCone,
  readConeUses,
  readCone,
  editCones,
  setConeArchived,
  setRemaining,
  setSnap,
  setTare,
  updateCone,
} from '@/data/cones';
import type { Sql } from '@/data/sql';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { asForm, EachOf, EachId, Fields, FormKey, Id, Maybe, Num, OneOf, Text, Version } from './rules';
import { MEANWHILE, type Meanings, save } from './save';

const FORM = CONE.filter((f: Field) => f.onForm !== false);
const ONE_COLOUR = CONE.filter((f) => f.id === 'colour' || f.id === 'hex');
const REMAINING = CONE_REMAINING.filter((f) => f.id === 'remainingM');

/** What is asked of a line of thread. */
@Fields(FORM)
class ConeLine {
  @FormKey() key!: string;
}
type ConeForm = ConeLine & Omit<ConeFields, 'colour' | 'hex'>;

@Fields([...ONE_COLOUR, ...REMAINING])
class NewColour {
  colour!: string;
  hex?: string | null;
  remainingM?: number | null;
}

/** One line of thread in one or several colours, put on the shelf in one go. */
export class AddCones extends ConeLine {
  @IsArray({ message: 'Give at least one colour.' })
  @ArrayMinSize(1, { message: 'Give at least one colour.' })
  @ArrayMaxSize(200, { message: 'At most 200 colours in one go.' })
  @EachOf(() => NewColour)
  colours!: NewColour[];
}

@Fields(ONE_COLOUR)
export class EditCone extends ConeLine {
  @Id('This cone is not known. Reload the page.') id!: string;
  @Version() version!: number;
  colour!: string;
  hex?: string | null;
}

type AddForm = AddCones & ConeForm;
type EditForm = EditCone & ConeForm;

const TAKEN: Meanings = {
  cone_line_colour_key: ['colour', 'This line already has that colour on the shelf.'],
};

/** The stored fields of a form; the size is read from its label or its weight by the core. */
function fieldsOf(form: ConeForm, colour: string, hex: string | null | undefined): Result<ConeFields> {
  const range = needleRangeProblem(form.needleMinNm ?? null, form.needleMaxNm ?? null);
  if (range) return refuse(range.message, range.path);
  const size = describeThread({
    label: form.label?.trim() || undefined,
    fibre: form.fibre,
    netG: form.fullG ?? undefined,
    lengthM: form.fullM ?? undefined,
  });
  checkTex(size.tex, form.fibre, size.basis === 'measured' ? 'fullG' : 'label');
  const given = { ...form, colour, hex, tex: size.tex, texBasis: size.basis };
  return done(stored(CONE, given));
}

/** Puts a line on the shelf in the colours given. All of them, or none. */
export const addCones = (context: Context, input: unknown): Promise<Result<{ ids: string[] }>> =>
  save<AddForm, { ids: string[] }>(
    context,
    'add-cones',
    asForm<AddForm>(AddCones),
    input,
    async (tx, form) => {
      const names = form.colours.map((c) => c.colour.trim().toLowerCase());
      const double = names.findIndex((n, i) => names.indexOf(n) < i);
      if (form.hexes?.length && form.colours.length > 1)
        return refuse('Thread that changes along its length goes on the shelf one cone at a time.', 'hexes');
      if (double >= 0) return refuse('This colour stands twice in the list.', `colours.${double}.colour`);
      const ids: string[] = [];
      for (const c of form.colours) {
        const fields = fieldsOf(form, c.colour, c.hex);
        if (!fields.ok) return fields;
        const id = uuidv7();
        const m = c.remainingM ?? form.fullM ?? null;
        await insertCone(tx, id, fields.value, m === null ? null : { m, source: 'set' });
        ids.push(id);
      }
      return done({ ids });
    },
    TAKEN,
  );

export const editCone = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<EditForm, { id: string }>(
    context,
    'edit-cone',
    asForm<EditForm>(EditCone),
    input,
    async (tx, form) => {
      const fields = fieldsOf(form, form.colour, form.hex);
      if (!fields.ok) return fields;
      return (await updateCone(tx, form.id, fields.value, form.version))
        ? done({ id: form.id })
        : conflict(MEANWHILE);
    },
    TAKEN,
  );

/** A count of what is on a cone: by the scale, or by eye. */
export class CountCone {
  @FormKey() key!: string;
  @Id('This cone is not known. Reload the page.') id!: string;
  @OneOf(['weighed', 'set'], 'Say how it was counted.') how!: 'weighed' | 'set';
  @Maybe() @Num(0, 20_000, 'Grams on the scale') grossG?: number | null;
  @Maybe() @Num(0, 10_000, 'Grams of the empty cone') tareG?: number | null;
  @Maybe() @Num(0, 1_000_000, 'Metres left') remainingM?: number | null;
}

export const countCone = (context: Context, input: unknown): Promise<Result<{ remainingM: number }>> =>
  save<CountCone, { remainingM: number }>(context, 'count-cone', CountCone, input, async (tx, form) => {
    const cone = await readCone(tx, form.id);
    if (!cone) return refuse('This cone is not known. Reload the page.', 'id');
    if (form.how === 'set') {
      if (form.remainingM == null) return refuse('Give the metres left.', 'remainingM');
      await setRemaining(tx, cone.id, form.remainingM, 'set', '');
      return done({ remainingM: form.remainingM });
    }
    const tare = form.tareG ?? cone.tareG;
    if (form.grossG == null) return refuse('Put the cone on the scale and give its grams.', 'grossG');
    if (tare == null) return refuse('Give the grams of an empty cone once; it is kept.', 'tareG');
    const m = metresFromWeight(form.grossG, tare, cone.tex);
    if (form.tareG != null) await setTare(tx, cone.id, tare);
    await setRemaining(tx, cone.id, m, 'weighed', `${form.grossG} g on the scale, ${tare} g empty`);
    return done({ remainingM: m });
  });

const MOST_AT_ONCE = 2000;

/** The same change to many cones at once. */
export class EditMany {
  @FormKey() key!: string;
  @IsArray({ message: 'Pick at least one cone.' })
  @ArrayMinSize(1, { message: 'Pick at least one cone.' })
  @ArrayMaxSize(MOST_AT_ONCE, { message: `At most ${MOST_AT_ONCE} in one go.` })
  @EachId('A cone that was picked is not known. Reload the page.')
  ids!: string[];
  @Maybe() @OneOf(CONE_ROLES, 'Top, bobbin or both.') role?: ConeRole;
  @Maybe() @Text(120) place?: string;
  @Maybe() @OneOf(SHEENS, 'Matt, satin or bright.') sheen?: Sheen;
  @Maybe() @OneOf(['away', 'back'], 'Put away, or take out again.') archive?: 'away' | 'back';
}

const GONE = 'These cones are not here any more, or are so already. Reload the page.';

export const editMany = (context: Context, input: unknown): Promise<Result<{ count: number }>> =>
  save<EditMany, { count: number }>(context, 'edit-cones', EditMany, input, async (tx, form) => {
    if (form.archive) {
      const rows = await setConeArchived(tx, form.ids, form.archive === 'away');
      return rows.count > 0 ? done({ count: rows.count }) : refuse(GONE, 'ids');
    }
    const { role, place, sheen } = form;
    if (role === undefined && place === undefined && sheen === undefined)
      return refuse('Say what to change.');
    const count = await editCones(tx, form.ids, { role, place: place?.trim(), sheen });
    return count > 0 ? done({ count }) : refuse(GONE, 'ids');
  });

/** Cones by id, in the order asked for; those not known are left out. */
export const conesById = async (sql: Sql, ids: readonly string[]) =>
  (await Promise.all(ids.filter((id) => isUUID(id)).map((id) => readCone(sql, id)))).filter(
    (c) => c !== null,
  );

/** A cone's ledger, newest first. */
export const coneUses = async (sql: Sql, id: string) => (isUUID(id) ? readConeUses(sql, id) : []);

const PULL = () => Num(1, 100_000, 'Grams');

export class SnapTest {
  @FormKey() key!: string;
  @Id('This cone is not known. Reload the page.') id!: string;
  @Version() version!: number;
  @PULL() pull1!: number;
  @PULL() pull2!: number;
  @PULL() pull3!: number;
}

/** Keeps what a thread broke at in three pulls, and says whether it may still be sewn with. */
export const snapTest = (context: Context, input: unknown): Promise<Result<{ words: string }>> =>
  save<SnapTest, { words: string }>(context, 'snap-test', SnapTest, input, async (tx, form) => {
    const cone = await readCone(tx, form.id);
    if (!cone) return refuse('This cone is not known. Reload the page.', 'id');
    const snapGf = (form.pull1 + form.pull2 + form.pull3) / 3;
    const on = format(context.now, 'yyyy-MM-dd');
    if (!(await setSnap(tx, form.id, snapGf, on, form.version))) return conflict(MEANWHILE);
    return done({ words: soundnessWords(soundness({ ...cone, snapGf }, context.now.getTime())!) });
  });
