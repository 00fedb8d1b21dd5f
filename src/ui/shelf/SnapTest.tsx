import { format, parseISO } from 'date-fns';
import { doors } from '@/actions/doors';
import { safety } from '@/core/cautions/cautions';
import type { Cone } from '@/data/types';
import { CautionLine } from '@/ui/kit/CautionLine';
import { RecordForm } from '@/ui/kit/RecordForm';
import { toast } from '@/ui/kit/toast';

/** A thread wound on two pencils and pulled with a scale until it breaks, three times. */
export function SnapTest({ cone }: { cone: Cone }) {
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 text-[17px] font-semibold">
        Snap test
        {cone.snapGf !== null && (
          <span className="font-normal text-ink2">
            {' '}
            broke at {Math.round(cone.snapGf)} g
            {cone.snapOn && `, ${format(parseISO(cone.snapOn), 'd MMM yyyy')}`}
          </span>
        )}
      </summary>
      <p className="text-ink2">
        Wind it on two pencils a hand apart, pull slowly with a luggage scale, read what it broke at; three
        times.
      </p>
      <CautionLine caution={safety('thread-cuts', 'note')} />
      <RecordForm
        key={cone.version}
        specs={[1, 2, 3].map((n) => ({
          name: `pull${n}`,
          label: `Pull ${n}, grams`,
          kind: 'number' as const,
        }))}
        initial={{}}
        fixed={{ id: cone.id, version: cone.version }}
        act={doors.snapTest}
        onDone={({ words }) => toast(words)}
        submit="Keep these pulls"
      />
    </details>
  );
}
