'use client';
import { Controller, useForm } from 'react-hook-form';
import { toast } from 'sonner';
import { setPreferencesAction } from '@/app/server-actions';
import type { Studio } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { Choice } from '@/ui/kit/Choice';
import { TextField } from '@/ui/kit/Field';
import { numberOf } from '@/ui/kit/number-of';
import { Problems } from '@/ui/kit/Problems';
import { useActionForm } from '@/ui/kit/use-action-form';
import { NEEDLE_OPTIONS, NUMBERS, SCHOOLS } from './schools';

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const TEXTS = ['name', 'town'] as const;
const ONES = ['oneNeedleNm', 'oneSpi'] as const;

/** The studio's schools: each with what its side does, and numbers that the models use. */
export function SchoolsForm({ studio }: { studio: Studio }) {
  const names = [...TEXTS, ...SCHOOLS.map((s) => s.name), ...NUMBERS.map((n) => n.name), ...ONES];
  const form = useForm<Record<string, string>>({
    defaultValues: {
      ...Object.fromEntries(names.map((n) => [n, studio[n] == null ? '' : String(studio[n])])),
      ...Object.fromEntries(studio.dayHours.map((h, i) => [`day${i}`, String(h)])),
    },
  });
  const { send, pending, problems, problemAt } = useActionForm(setPreferencesAction, () =>
    toast('Kept. Cards chosen from now on follow it.'),
  );
  const v = form.watch();
  return (
    <form
      className="mt-4 max-w-[1060px]"
      onSubmit={form.handleSubmit((values) => {
        if (pending) return;
        const numbers = [...NUMBERS.map((n) => n.name as string), ...ONES];
        send({
          ...Object.fromEntries(names.map((n) => [n, values[n]])),
          ...Object.fromEntries(numbers.map((n) => [n, numberOf(values[n] ?? '')])),
          dayHours: DAYS.map((_, i) => numberOf(values[`day${i}`] ?? '')),
          version: studio.version,
        });
      })}
    >
      <div className="grid gap-3 border-t-2 border-ink pt-3 sm:grid-cols-2">
        <TextField id="studio-name" label="Studio" error={problemAt('name')} {...form.register('name')} />
        <TextField id="studio-town" label="Town" error={problemAt('town')} {...form.register('town')} />
      </div>
      <h2 className="mt-6 border-t-2 border-ink pt-2 text-20">Where good quilters disagree</h2>
      {SCHOOLS.map((s) => (
        <fieldset key={s.name} className="grid gap-x-6 border-b py-2.5 md:grid-cols-[190px_1fr]">
          <legend className="float-left pt-2 font-semibold md:w-[190px]">{s.question}</legend>
          <div>
            <div className="flex flex-wrap gap-x-6">
              {s.sides.map((side) => (
                <label key={side.value} className="flex min-h-11 items-center gap-2">
                  <input
                    type="radio"
                    value={side.value}
                    className="size-5 accent-(--indigo)"
                    {...form.register(s.name)}
                  />
                  {side.label}
                </label>
              ))}
              {s.name === 'needleSchool' && v.needleSchool === 'one' && (
                <div className="w-48">
                  <Controller
                    control={form.control}
                    name="oneNeedleNm"
                    render={({ field }) => (
                      <Choice
                        id="one-needle"
                        label="The trusted size"
                        value={field.value ?? ''}
                        onChange={field.onChange}
                        options={NEEDLE_OPTIONS}
                        error={problemAt('oneNeedleNm')}
                      />
                    )}
                  />
                </div>
              )}
              {s.name === 'spiSchool' && v.spiSchool === 'one' && (
                <div className="w-48">
                  <TextField
                    id="one-spi"
                    label="Stitches per inch"
                    inputMode="decimal"
                    error={problemAt('oneSpi')}
                    {...form.register('oneSpi')}
                  />
                </div>
              )}
            </div>
            <p className="text-ink2">
              {s.sides.find((side) => side.value === v[s.name])?.does}{' '}
              {s.sides
                .filter((side) => side.value !== v[s.name])
                .slice(0, 1)
                .map((side) => (
                  <span key={side.value}>
                    The other side, {side.label}: {side.does}
                  </span>
                ))}
            </p>
          </div>
        </fieldset>
      ))}
      <h2 className="mt-6 border-t-2 border-ink pt-2 text-20">Thresholds, margins and hours</h2>
      <div className="mt-2 grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
        {NUMBERS.map((n) => (
          <TextField
            key={n.name}
            id={`pref-${n.name}`}
            label={n.label}
            hint={n.hint}
            inputMode="decimal"
            error={problemAt(n.name)}
            {...form.register(n.name)}
          />
        ))}
      </div>
      <fieldset className="mt-4">
        <legend className="mb-1 text-13 font-medium text-ink2">Hours at the frame, by day</legend>
        <div className="grid grid-cols-4 gap-3 sm:grid-cols-7">
          {DAYS.map((d, i) => (
            <TextField key={d} id={`day-${i}`} label={d} inputMode="decimal" {...form.register(`day${i}`)} />
          ))}
        </div>
        {problemAt('dayHours') && (
          <p role="alert" className="font-medium text-madder">
            {problemAt('dayHours')}
          </p>
        )}
      </fieldset>
      <div className="mt-4">
        <Problems problems={problems} fields={[...names, 'dayHours']} />
      </div>
      <Button look="act" type="submit" disabled={pending} className="mt-3">
        Keep these ways
      </Button>
    </form>
  );
}
