'use client';
import { useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import type { Preferences } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { Choice } from '@/ui/kit/Choice';
import { TextField } from '@/ui/kit/Field';
import { numberOf } from '@/ui/kit/number-of';
import { formFields } from '@/ui/kit/form-fields';
import { SpecInput } from '@/ui/kit/SpecInput';
import { Problems } from '@/ui/kit/Problems';
import { useActionForm } from '@/ui/kit/use-action-form';
import { MARKERS_HERE, ONES, SCHOOLS, THRESHOLDS, WEEKDAYS } from '@/core/fields/preferences';
import { NEEDLE_CHOICES } from '@/core/fields/needle';

const [MARKERS_SPEC] = formFields([MARKERS_HERE]);
const TEXTS = ['name', 'town', 'currency'];
const NUMBERS = [...THRESHOLDS, ...ONES].map((f) => f.id);
const NAMES = [...TEXTS, ...SCHOOLS.map((f) => f.id), ...NUMBERS];
const NEEDLE_OPTIONS = NEEDLE_CHOICES.map((c) => ({ value: String(c.value), label: c.label }));

/** The studio's schools: each with what its side does, and numbers that the models use. */
export function PreferencesForm({ preferences }: { preferences: Preferences }) {
  const now = preferences as unknown as Record<string, unknown>;
  const form = useForm<Record<string, string>>({
    defaultValues: {
      ...Object.fromEntries(NAMES.map((n) => [n, now[n] == null ? '' : String(now[n])])),
      ...Object.fromEntries(preferences.dayHours.map((h, i) => [`day${i}`, String(h)])),
    },
  });
  const { send, pending, problems, problemAt } = useActionForm(doors.setPreferences, () =>
    toast('Kept. Cards chosen from now on follow it.'),
  );
  const [markers, setMarkers] = useState<string[]>([...preferences.markers]);
  const v = form.watch();
  return (
    <form
      className="mt-4 max-w-[1060px]"
      onSubmit={form.handleSubmit((values) => {
        if (pending) return;
        send({
          ...Object.fromEntries(NAMES.map((n) => [n, values[n]])),
          ...Object.fromEntries(NUMBERS.map((n) => [n, numberOf(values[n] ?? '')])),
          dayHours: WEEKDAYS.map((_, i) => numberOf(values[`day${i}`] ?? '')),
          markers,
          version: preferences.version,
        });
      })}
    >
      <div className="grid gap-3 border-t-2 border-ink pt-3 sm:grid-cols-2">
        <TextField id="studio-name" label="Studio" error={problemAt('name')} {...form.register('name')} />
        <TextField id="studio-town" label="Town" error={problemAt('town')} {...form.register('town')} />
        <TextField
          id="studio-currency"
          label="Currency"
          hint="three letters, such as EUR"
          error={problemAt('currency')}
          {...form.register('currency')}
        />
      </div>
      <h2 className="mt-6 border-t-2 border-ink pt-2 text-20">Where good quilters disagree</h2>
      {SCHOOLS.map((s) => (
        <fieldset key={s.id} className="grid gap-x-6 border-b py-2.5 md:grid-cols-[190px_1fr]">
          <legend className="float-left pt-2 font-semibold md:w-[190px]">{s.label}</legend>
          <div>
            <div className="flex flex-wrap gap-x-6">
              {s.choices!.map((side) => (
                <label key={side.value} className="flex min-h-11 items-center gap-2">
                  <input
                    type="radio"
                    value={String(side.value)}
                    className="size-5 accent-(--indigo)"
                    {...form.register(s.id)}
                  />
                  {side.label}
                </label>
              ))}
              {s.id === 'needleSchool' && v.needleSchool === 'one' && (
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
              {s.id === 'spiSchool' && v.spiSchool === 'one' && (
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
              {s.choices!.find((side) => side.value === v[s.id])?.does}{' '}
              {s
                .choices!.filter((side) => side.value !== v[s.id])
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
        {THRESHOLDS.map((n) => (
          <TextField
            key={n.id}
            id={`pref-${n.id}`}
            label={n.label}
            hint={n.hint}
            inputMode="decimal"
            error={problemAt(n.id)}
            {...form.register(n.id)}
          />
        ))}
      </div>
      <div className="mt-4">
        <SpecInput
          spec={MARKERS_SPEC!}
          id="pref-markers"
          value={markers}
          onChange={(list) => setMarkers(list as string[])}
          error={problemAt('markers')}
        />
      </div>
      <fieldset className="mt-4">
        <legend className="mb-1 text-13 font-medium text-ink2">Hours at the frame, by day</legend>
        <div className="grid grid-cols-4 gap-3 sm:grid-cols-7">
          {WEEKDAYS.map((d, i) => (
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
        <Problems problems={problems} fields={[...NAMES, 'dayHours']} />
      </div>
      <Button look="act" type="submit" disabled={pending} className="mt-3">
        Keep these ways
      </Button>
    </form>
  );
}
