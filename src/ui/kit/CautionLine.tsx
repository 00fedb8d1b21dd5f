import { CircleAlert, OctagonAlert, TriangleAlert } from 'lucide-react';
import type { Caution } from '@/core/notes';

const SIGN = { note: CircleAlert, warn: TriangleAlert, stop: OctagonAlert };
const TONE = { note: 'text-ink2', warn: 'text-weld-text', stop: 'text-madder' };
const WORD = { note: 'Note', warn: 'Caution', stop: 'Stop' };

/** One caution: a sign, a word for those who do not see it, and the sentence. */
export function CautionLine({ caution }: { caution: Caution }) {
  const Sign = SIGN[caution.severity];
  return (
    <span
      className={`inline-flex gap-1.5 ${TONE[caution.severity]} ${caution.severity === 'note' ? '' : 'font-medium'}`}
    >
      <Sign size={16} className="mt-0.5 shrink-0" aria-hidden />
      <span>
        <span className="sr-only">{WORD[caution.severity]}: </span>
        {caution.text}
        {caution.act && <b className="font-semibold text-ink"> {caution.act}</b>}
      </span>
    </span>
  );
}
