import { safety } from '@/core/cautions/cautions';
import type { squareness } from '@/core/stand/squareness';
import { Big } from './Big';
import { KIND_WORDS } from './kind-words';
import type { Outbox } from './outbox';

/** Something the quilter must know now, the most pressing first. */
interface Notice {
  key: 'store' | 'refused' | 'back' | 'raise' | 'needle' | 'square' | 'posture';
  words: string;
  /** What its button says, where something is to be answered. */
  answer?: string;
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
  pass: number | null;
  lookAtBack: boolean;
  raise: boolean;
  needleShare: number;
  square: ReturnType<typeof squareness>;
  /** Milliseconds sewn without rest, when it is time for one. */
  sewnOnMs: number | null;
}): Notice[] {
  const { refused, square, sewnOnMs } = now;
  const notices: (Notice | false | null | undefined)[] = [
    now.storeFails && {
      key: 'store',
      words:
        'This device keeps nothing: what is tapped is lost when the page is. Allow it storage, or use another browser.',
    },
    refused && {
      key: 'refused',
      words: `The studio’s computer would not take “${KIND_WORDS[refused.entry.kind]}”: ${refused.reason}`,
      answer: 'Seen',
    },
    now.lookAtBack && {
      key: 'back',
      words: 'Stop, needle up: look at the back.',
      answer: 'It is good',
    },
    now.raise && { key: 'raise', words: `The roll has grown: raise the rail before pass ${now.pass}.` },
    now.needleShare >= WORN && {
      key: 'needle',
      words: `The needle is worn: ${Math.round(now.needleShare * 100)} % of its life.`,
    },
    square?.real && { key: 'square', words: square.words },
    sewnOnMs !== null && {
      key: 'posture',
      words: `${Math.round(sewnOnMs / 60_000)} minutes sewn. ${safety('posture-break').text}`,
      answer: 'Done',
    },
  ];
  return notices.filter((n) => !!n);
}

export function Notices({
  notices,
  onAnswer,
}: {
  notices: readonly Notice[];
  onAnswer: (key: Notice['key']) => void;
}) {
  if (notices.length === 0) return null;
  return (
    <ul className="mt-3 grid gap-2">
      {notices.slice(0, SHOWN).map((n) => (
        <li
          key={n.key}
          className="flex flex-wrap items-center gap-4 border-l-8 border-weld bg-cloth px-4 py-2 text-24"
        >
          <span className="min-w-0 flex-1">{n.words}</span>
          {n.answer && <Big onClick={() => onAnswer(n.key)} label={n.answer} look="quiet" />}
        </li>
      ))}
    </ul>
  );
}
