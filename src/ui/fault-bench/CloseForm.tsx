'use client';
import { useRouter } from 'next/navigation';
import { useForm, useWatch } from 'react-hook-form';
import { doors } from '@/actions/doors';
import { Button } from '@/ui/kit/Button';
import { TextField } from '@/ui/kit/Field';
import { numberOf } from '@/ui/kit/number-of';
import { Problems } from '@/ui/kit/Problems';
import { Taps } from '@/ui/kit/Taps';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';
import { chance, type FoundCause, type Named } from './shown';

const OTHER = '-';

/** As it is typed. */
interface Ending {
  cause: string;
  ownCause: string;
  remedy: string;
  helped: string;
  minutes: string;
  mended: string;
}

/** What it was, what helped, and the minutes it took: the entry closed. */
export function CloseForm({
  faultId,
  version,
  found,
  causes,
  resolved,
  remedies,
  onBack,
}: {
  faultId: string;
  version: number;
  found: readonly FoundCause[];
  causes: readonly Named[];
  resolved: boolean;
  remedies: readonly { remedy: string; tried: number; helped: number }[];
  onBack?: () => void;
}) {
  const router = useRouter();
  const form = useForm<Ending>({
    defaultValues: {
      cause: found[0]?.id ?? OTHER,
      ownCause: '',
      remedy: '',
      helped: resolved ? 'yes' : '',
      minutes: '',
      mended: 'mended',
    },
  });
  const said = useWatch({ control: form.control }) as Ending;
  const { cause } = said;
  const set = (name: keyof Ending) => (value: string) => form.setValue(name, value);
  const { send, pending, problems, problemAt } = useActionForm(doors.closeFault, () => {
    toast('The fault is closed, and what it was is learned.');
    router.refresh();
  });
  const shown = found.find((c) => c.id === cause);
  return (
    <form
      onSubmit={form.handleSubmit((v) => {
        if (pending) return;
        send({
          faultId,
          version,
          cause: v.cause === OTHER ? null : v.cause,
          ownCause: v.ownCause,
          remedy: v.remedy,
          helped: v.helped === '' ? null : v.helped === 'yes',
          minutesLost: numberOf(v.minutes),
          mended: v.mended === 'mended',
        });
      })}
    >
      <h3 className="text-20">{resolved ? 'It is gone. What was it?' : 'What was it?'}</h3>
      <label className="mt-1 grid">
        <span className="text-13 text-ink2">Cause</span>
        <select
          className="min-h-11 rounded border border-rule bg-cloth px-2 text-16"
          value={cause}
          onChange={(e) => set('cause')(e.target.value)}
        >
          {found.map((c) => (
            <option key={c.id} value={c.id}>
              {c.label} ({chance(c.p)})
            </option>
          ))}
          <option value={OTHER}>none of these: in my own words</option>
          {causes
            .filter((c) => !found.some((f) => f.id === c.id))
            .map((c) => (
              <option key={c.id} value={c.id}>
                {c.label}
              </option>
            ))}
        </select>
      </label>
      {shown && (
        <>
          <ol className="mt-2 list-decimal space-y-0.5 pl-5">
            {shown.remedy.map((r) => (
              <li key={r}>{r}</li>
            ))}
          </ol>
          <p className="mt-1 text-ink2">It was this when: {shown.confirm}</p>
        </>
      )}
      <div className="mt-2 grid gap-3 sm:grid-cols-2">
        {cause === OTHER && (
          <TextField
            id="own-cause"
            label="What it was"
            value={said.ownCause}
            onChange={(e) => set('ownCause')(e.target.value)}
            error={problemAt('ownCause')}
          />
        )}
        <TextField
          id="remedy"
          label="What you did"
          hint="as you would say it next time"
          value={said.remedy}
          onChange={(e) => set('remedy')(e.target.value)}
          error={problemAt('remedy')}
        />
        <TextField
          id="minutes-lost"
          label="Minutes it took"
          inputMode="decimal"
          value={said.minutes}
          onChange={(e) => set('minutes')(e.target.value)}
          error={problemAt('minutesLost')}
        />
      </div>
      {remedies.length > 0 && (
        <p className="mt-1.5 text-13 text-ink2">
          With this sign before:{' '}
          {remedies.map((r) => `“${r.remedy}” helped ${r.helped} of ${r.tried} times`).join('; ')}.
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-x-6 gap-y-1">
        <Taps
          label="Its stitches on the quilt"
          value={said.mended}
          onChange={set('mended')}
          options={[
            { value: 'mended', label: 'mended' },
            { value: 'open', label: 'still to mend' },
          ]}
        />
        <Taps
          label="A pass sewn on without it?"
          value={said.helped || null}
          onChange={set('helped')}
          options={[
            { value: 'yes', label: 'yes' },
            { value: 'no', label: 'not yet' },
          ]}
        />
      </div>
      <Problems problems={problems} fields={['ownCause', 'remedy', 'minutesLost']} />
      <div className="mt-3 flex flex-wrap gap-3">
        <Button look="act" type="submit" disabled={pending}>
          Close this fault
        </Button>
        {onBack && (
          <Button look="quiet" onClick={onBack}>
            Go on checking
          </Button>
        )}
      </div>
    </form>
  );
}
