import { format, parseISO, subDays } from 'date-fns';
import { type ConditionFields } from '../fields/quilt';
import { conditionAsks, CONDITION_KINDS, conditionMinutes } from '../tables/conditions';

/** Letters a studio writes to a client, in the order of the work. */
export const LETTERS = ['offer', 'agreed', 'found', 'approve', 'date-moved', 'ready', 'shipped'] as const;
export type LetterKind = (typeof LETTERS)[number];
export const LETTER_LABEL: Readonly<Record<LetterKind, string>> = {
  offer: 'The offer',
  agreed: 'What we agreed',
  found: 'What we found on it',
  approve: 'Thread and design to approve',
  'date-moved': 'The day has moved',
  ready: 'Ready to collect',
  shipped: 'On its way',
};

/** What a letter may tell; what is not known is left out of it. */
export interface LetterFacts {
  studio: string;
  client: string;
  quilt: string;
  size: string;
  dueOn: string;
  batting: string;
  backing: string;
  wishes: string;
  care: string;
  deposit: string | null;
  delivery: 'collect' | 'ship';
  tracking: string;
  conditions: readonly Pick<ConditionFields, 'kind' | 'side' | 'place' | 'sizeIn' | 'note' | 'state'>[];
  /** Each zone with its technique, and thread where it is chosen. */
  zones: readonly { letter: string; name: string; technique: string; thread: string | null }[];
  /** Zones of which two ways are shown, in words. */
  ways: readonly { zone: string; a: string; b: string }[];
  /** Day it goes on the frame, yyyy-mm-dd; null while it is not laid. */
  frameOn: string | null;
  /** Whether stitches are in it already. */
  begun: boolean;
  /** The day the letter is written, yyyy-mm-dd. */
  today: string;
  /** Day it will be ready 9 times in 10 now; for a day that moved. */
  newDay: string | null;
  measures: string | null;
  mended: readonly string[];
  washing: readonly string[];
  due: string | null;
  /** The offer that stands, line by line, in words; null while there is none. */
  offer: { lines: readonly string[]; total: string; until: string; note: string; hours: string } | null;
  pictures: number;
}

export interface Letter {
  subject: string;
  /** Paragraphs; a list has its lines in one of them. */
  paragraphs: string[];
  /** Why it cannot be written yet; the paragraphs say what there is. */
  missing: string | null;
}

const day = (iso: string) => format(parseISO(iso), 'EEEE d MMMM yyyy');
const list = (lines: readonly string[]) => lines.map((l) => `• ${l}`).join('\n');
/** So many days before it goes on the frame the client's word is needed. */
const WORD_DAYS = 3;

function condition(c: LetterFacts['conditions'][number]): string {
  const k = CONDITION_KINDS.get(c.kind);
  const where = [c.place, c.side === 'back' ? 'on the back' : ''].filter(Boolean).join(', ');
  const size = c.sizeIn ? `, ${c.sizeIn} in` : '';
  const asks = conditionAsks(k, c.sizeIn) === 'agree' && c.state !== 'agreed' && c.state !== 'declined';
  const minutes = Math.round(conditionMinutes(k, c.sizeIn));
  return [
    `${k.label}${where ? ` (${where}${size})` : size}${c.note ? `: ${c.note}` : ''}.`,
    k.means,
    ...(minutes >= 1 ? [`About ${minutes} minutes.`] : []),
    ...(asks ? ['Please tell us whether we may.'] : c.state === 'agreed' ? ['You agreed.'] : []),
  ].join(' ');
}

function answerBy({ frameOn, today }: LetterFacts): string {
  const by = frameOn && format(subDays(parseISO(frameOn), WORD_DAYS), 'yyyy-MM-dd');
  return by && by > today
    ? `Please say yes by ${day(by)}; until then it waits.`
    : 'Please say yes as soon as you can; until then it waits.';
}

type Written = Omit<Letter, 'missing'> & { missing?: string | null };

const WRITE: Readonly<Record<LetterKind, (f: LetterFacts) => Written>> = {
  offer: (f) => ({
    subject: `${f.quilt}: our offer`,
    missing: f.offer ? null : 'There is no offer that stands yet: make one first, under Take in, Offer.',
    paragraphs: f.offer
      ? [
          `For quilting ${f.quilt}, ${f.size}, we offer:`,
          list(f.offer.lines),
          `Together: ${f.offer.total}.`,
          ...(f.offer.hours
            ? [`It is about ${f.offer.hours} of work. What it comes to lies within that.`]
            : []),
          ...(f.offer.note ? [f.offer.note] : []),
          `The offer is good until ${day(f.offer.until)}. Please tell us whether you agree.`,
        ]
      : [],
  }),
  agreed: (f) => ({
    subject: `${f.quilt}: what we agreed`,
    paragraphs: [
      `We have taken in ${f.quilt}, ${f.size}.`,
      list(
        [
          `Batting: ${f.batting}`,
          `Backing: ${f.backing}`,
          f.wishes && `You wish: ${f.wishes}`,
          f.care && `Washing: ${f.care}`,
          f.deposit && `Deposit received: ${f.deposit}`,
          `It goes home ${f.delivery === 'ship' ? 'by parcel' : 'when you collect it'}`,
        ].filter((l): l is string => Boolean(l)),
      ),
      `We promise it for ${day(f.dueOn)}.`,
      ...(f.conditions.length > 0 ? [`Found on it when it came:\n${list(f.conditions.map(condition))}`] : []),
    ],
  }),
  found: (f) => ({
    subject: `${f.quilt}: what we found on it`,
    paragraphs: [
      `Looking ${f.quilt} over, we found:`,
      list(f.conditions.map(condition)),
      'We begin when we have your answer.',
    ],
    missing: f.conditions.length === 0 ? 'Nothing was found on it.' : null,
  }),
  approve: (f) => ({
    subject: `${f.quilt}: thread and design for you to approve`,
    paragraphs: [
      `For ${f.quilt} we suggest:`,
      list(f.zones.map((z) => `${z.name}: ${z.technique.toLowerCase()}${z.thread ? ` in ${z.thread}` : ''}`)),
      ...f.ways.map(
        (w) =>
          `${w.zone} is drawn in two ways, attached: A, ${w.a}; B, ${w.b}. Please tell us which of them it shall be.`,
      ),
      ...(f.pictures > 0
        ? [`${f.pictures === 1 ? 'A picture is' : `${f.pictures} pictures are`} attached.`]
        : []),
      answerBy(f),
    ],
    missing: f.zones.every((z) => z.thread === null)
      ? 'No thread is chosen yet.'
      : f.begun
        ? 'It is being quilted already.'
        : null,
  }),
  'date-moved': (f) => ({
    subject: `${f.quilt}: the day has moved`,
    paragraphs: [
      `We promised ${f.quilt} for ${day(f.dueOn)}.`,
      ...(f.newDay ? [`As the work stands now it will be ready by ${day(f.newDay)}, 9 times in 10.`] : []),
      'We are sorry. Please tell us whether that will do.',
    ],
    missing: f.newDay === null ? 'It is not on the calendar any more.' : null,
  }),
  ready: (f) => ({
    subject: `${f.quilt} is ready`,
    paragraphs: [
      `${f.quilt} is ready: ${f.delivery === 'ship' ? 'it is shipped as agreed' : 'please collect it when it suits you'}.`,
      ...(f.measures ? [`It measures ${f.measures}.`] : []),
      ...(f.mended.length > 0 ? [`Mended: ${f.mended.join('; ')}.`] : []),
      ...(f.washing.length > 0 ? [`Washing:\n${list(f.washing)}`] : []),
      ...(f.due ? [`Due: ${f.due}.`] : []),
    ],
  }),
  shipped: (f) => ({
    subject: `${f.quilt} is on its way`,
    paragraphs: [
      `${f.quilt} was shipped${f.tracking ? `; its parcel number is ${f.tracking}` : ''}.`,
      ...(f.due ? [`Due: ${f.due}.`] : []),
    ],
    missing: f.delivery === 'ship' ? null : 'It is to be collected, not shipped.',
  }),
};

/** A letter to the client; what is not known is left out, and what it lacks to be sent is said. */
export function letter(kind: LetterKind, facts: LetterFacts): Letter {
  const { subject, paragraphs, missing = null } = WRITE[kind](facts);
  return {
    subject,
    paragraphs: [`Dear ${facts.client},`, ...paragraphs, facts.studio].filter((p) => p !== ''),
    missing,
  };
}
