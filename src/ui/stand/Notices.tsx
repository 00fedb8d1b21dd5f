import { safety } from '@/core/cautions/cautions';
import type { CareItem } from '@/core/care/items';
import type { Roll } from '@/core/stand/advance';
import type { squareness } from '@/core/stand/squareness';
import { Big } from './Big';
import { KIND_WORDS } from './kind-words';
import type { Outbox } from './outbox';

/** Something the quilter must know now, the most pressing first. */
interface Notice {
  key: 'store' | 'refused' | 'roll' | 'back' | 'needle' | 'square' | 'posture' | 'air' | `care ${string}`;
  words: string;
  /** What its button says, where something is to be answered. */
  answer?: string;
  /** What puts it off, where it may be. */
  later?: string;
}
/** So many are shown: more is read by nobody at the machine. */
const SHOWN = 2;
/** A needle is called worn from this share of its life. */
const WORN = 0.9;

/** What must be said now, the most pressing first. */
export function noticesOf(now: {
  /** This device keeps nothing. */
  storeFails: boolean;
  refused: Outbox['refused'][number] | null;
  /** The frame stands at another pass than the step is in. */
  roll: Roll | null;
  lookAtBack: boolean;
  needleShare: number;
  square: ReturnType<typeof squareness>;
  /** Milliseconds sewn without rest, when it is time for one. */
  sewnOnMs: number | null;
  /** What the machine asks for at this stop. */
  care?: readonly CareItem[];
  /** The air is otherwise than when this was tested; in words. */
  air?: string | null;
}): Notice[] {
  const { refused, square, sewnOnMs } = now;
  const notices: (Notice | false | null | undefined)[] = [
    now.storeFails && {
      key: 'store',
      words:
        'This device stores nothing: what is tapped is lost when the page is closed. Allow it storage, or use another browser.',
    },
    refused && {
      key: 'refused',
      words: `The studio’s computer would not take “${KIND_WORDS[refused.entry.kind]}”: ${refused.reason}`,
      answer: 'Seen',
    },
    now.roll && {
      key: 'roll',
      words: rollWords(now.roll),
      answer: now.roll.back ? 'Roll back' : 'Advance',
    },
    now.lookAtBack && {
      key: 'back',
      words: 'Stop, needle up: check the back.',
      answer: 'It is good',
    },
    now.needleShare >= WORN && {
      key: 'needle',
      words: `The needle is worn: ${Math.round(now.needleShare * 100)} % of its life.`,
    },
    ...(now.care ?? []).map((c): Notice => ({
      key: `care ${c.id}`,
      words: `${c.label}. ${c.act}`,
      answer: 'Done',
      later: 'Later',
    })),
    !!now.air && { key: 'air', words: now.air, answer: 'Seen' },
    square?.real && { key: 'square', words: square.words },
    sewnOnMs !== null && {
      key: 'posture',
      words: `${Math.round(sewnOnMs / 60_000)} minutes sewn. ${safety('posture-break').text}`,
      answer: 'Done',
    },
  ];
  return notices.filter((n) => !!n);
}

/** What rolling asks, while it is still to be done. */
export const rollWords = (r: Roll): string =>
  `${r.back ? 'Roll back' : 'Advance'} to pass ${r.to}${r.rail === 'raise' ? ': the roll has grown, raise the rail' : r.rail === 'lower' ? ': the roll is thinner again, lower the rail' : ''}.`;

export function Notices({
  notices,
  onAnswer,
}: {
  notices: readonly Notice[];
  onAnswer: (key: Notice['key'], later: boolean) => void;
}) {
  if (notices.length === 0) return null;
  return (
    <ul className="mt-2 grid gap-2">
      {notices.slice(0, SHOWN).map((n) => (
        <li
          key={n.key}
          className="flex flex-wrap items-center gap-4 border-l-8 border-weld bg-cloth px-4 py-1 text-20 sm:text-24"
        >
          <span className="min-w-0 flex-1">{n.words}</span>
          {n.answer && <Big onClick={() => onAnswer(n.key, false)} label={n.answer} look="quiet" />}
          {n.later && <Big onClick={() => onAnswer(n.key, true)} label={n.later} look="quiet" />}
        </li>
      ))}
    </ul>
  );
}
