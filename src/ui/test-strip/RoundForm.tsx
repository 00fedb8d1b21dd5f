'use client';
import { DIRECTIONS, type Direction } from '@/core/fields/lists';
import { ROUND, SEEN_IN_TESTS, SEEN_LABEL } from '@/core/fields/round';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';
import { ToggleGroup } from 'radix-ui';
import { useCallback, useState } from 'react';
import { useRouter } from 'next/navigation';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import type { Verdict } from '@/core/tension/probit';
import type { ChosenSetup, Quilt, Zone } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { fromForm } from '@/ui/kit/field-spec';
import { formFields } from '@/ui/kit/form-fields';
import { Problems } from '@/ui/kit/Problems';
import { SpecFields, useSpecForm } from '@/ui/kit/SpecFields';
import { useActionForm } from '@/ui/kit/use-action-form';
import { VerdictTiles } from './VerdictTiles';
import { DIRECTION_LABEL, TONE_TEXT, VERDICT_SIGN, verdictTone } from './words';

const StandInPanel = dynamic(() => patiently(() => import('./StandInPanel')).then((m) => m.StandInPanel));

/** One judgement for the four straight directions at once. */
const ALL = 'all';
/** How unlike the models the stand-in may be, on the logarithm of the ratio. */
const STAND_IN_SD = 0.3;
const STRAIGHT = ['away', 'toward', 'left', 'right'] as const;
const SPECS = formFields(ROUND);
const FIELDS = ['verdicts', ...SPECS.map((f) => f.name)];
const gf = (x: number) => String(Number(x.toFixed(x < 50 ? 1 : 0)));

type Way = Direction | typeof ALL;
type Verdicts = Partial<Record<Direction, Verdict>>;
type Twin = Pick<Zone, 'id' | 'letter' | 'name'>;

/** How the test just sewn looks, way by way, and what was set for it. */
export function RoundForm({
  quilt,
  zone,
  setup,
  next,
  n,
  colours,
  thicknessMm,
  twins,
}: {
  quilt: Pick<Quilt, 'id'>;
  zone: Twin;
  setup: ChosenSetup;
  /** What to set for it. */
  next: { topGf: number; bobbinGf: number };
  /** Which test of the strip it is. */
  n: number;
  colours: { top: string; bobbin: string; cloth: string; backing: string };
  thicknessMm: number;
  /** Zones not tested yet that sew alike: one test serves them too. */
  twins: readonly Twin[];
}) {
  const [seen, setSeen] = useState<readonly string[]>([]);
  const [together, setTogether] = useState<readonly string[]>(() => twins.map((t) => t.id));
  const [direction, setDirection] = useState<Direction | typeof ALL>(ALL);
  const [verdicts, setVerdicts] = useState<Partial<Record<Direction, Verdict>>>({});
  const router = useRouter();
  const { form, values, numberAt } = useSpecForm(SPECS, {
    topGf: gf(next.topGf),
    bobbinGf: gf(next.bobbinGf),
  });
  const done = useCallback(
    (stored: { n: number; done: boolean }) => {
      toast(
        stored.done
          ? `Test ${stored.n} balances: the card now shows it as tested.`
          : `Test ${stored.n} is on the strip.`,
      );
      router.refresh();
    },
    [router],
  );
  const { send, pending, problems, problemAt } = useActionForm(doors.logTest, done);
  const judge = (v: Verdict) =>
    setVerdicts({
      ...verdicts,
      ...Object.fromEntries((direction === ALL ? STRAIGHT : [direction]).map((d) => [d, v])),
    });
  const four = STRAIGHT.map((d) => verdicts[d]);
  const shown =
    direction === ALL ? (four.every((v) => v === four[0]) ? four[0] : undefined) : verdicts[direction];

  return (
    <form
      className="border-t pt-1.5"
      onSubmit={(e) => {
        e.preventDefault();
        if (pending) return;
        send({
          quiltId: quilt.id,
          zoneId: zone.id,
          setupId: setup.id,
          n,
          verdicts,
          seen,
          together,
          ...fromForm(SPECS, values),
        });
      }}
    >
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h3 className="text-[17px]">How test {n} looks</h3>
        <p className="text-13 text-ink2">keys 1 to 7 · ▲ tighten ● leave ▼ loosen, the top</p>
      </div>
      {twins.length > 0 && (
        <OneTestFor zone={zone} twins={twins} together={together} onTogether={setTogether} />
      )}
      <Ways direction={direction} verdicts={verdicts} onDirection={setDirection} />
      <VerdictTiles
        label={
          direction === ALL
            ? 'How it looks all four ways'
            : `How ${DIRECTION_LABEL[direction].toLowerCase()} looks`
        }
        value={shown}
        onChange={judge}
        {...colours}
      />
      {problemAt('verdicts') && (
        <p role="alert" className="mt-1.5 font-medium text-madder">
          {problemAt('verdicts')}
        </p>
      )}
      <AlsoSeen seen={seen} onSeen={setSeen} />
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <SpecFields
          specs={SPECS}
          form={form}
          problemAt={problemAt}
          className="grid min-w-0 flex-1 grid-cols-[80px_96px_minmax(120px,1fr)] gap-3"
        />
        <Button look="act" type="submit" disabled={pending} className="min-h-[48px]">
          Test {n} is sewn
        </Button>
      </div>
      <Problems problems={problems} fields={FIELDS} />
      <StandInPanel
        setupId={setup.id}
        ratio={setup.ratioModel ?? setup.ratio}
        sd={STAND_IN_SD}
        thicknessMm={thicknessMm}
        topGf={numberAt('topGf')}
        bobbinGf={numberAt('bobbinGf')}
        n={n}
        ways={direction === ALL ? STRAIGHT : [direction]}
        onSewn={(v) => setVerdicts({ ...verdicts, ...v })}
        onRead={(g) => form.setValue('topGf', gf(g))}
      />
    </form>
  );
}

/** Zones the same test serves too. */
function OneTestFor({
  zone,
  twins,
  together,
  onTogether: setTogether,
}: {
  zone: Twin;
  twins: readonly Twin[];
  together: readonly string[];
  onTogether: (ids: string[]) => void;
}) {
  return (
    <fieldset className="flex flex-wrap items-center gap-x-4">
      <legend className="sr-only">One test for several zones</legend>
      <span className="font-medium">
        One test for{' '}
        {[zone.letter, ...twins.filter((t) => together.includes(t.id)).map((t) => t.letter)].join(', ')}:
      </span>
      {twins.map((t) => (
        <label key={t.id} className="inline-flex min-h-11 items-center gap-1.5">
          <input
            type="checkbox"
            className="size-5 accent-(--indigo)"
            checked={together.includes(t.id)}
            onChange={() =>
              setTogether(
                together.includes(t.id) ? together.filter((id) => id !== t.id) : [...together, t.id],
              )
            }
          />
          {t.letter} {t.name}
        </label>
      ))}
    </fieldset>
  );
}

/** The direction that is judged: all four at once, or one. */
function Ways({
  direction,
  verdicts,
  onDirection: setDirection,
}: {
  direction: Way;
  verdicts: Verdicts;
  onDirection: (way: Way) => void;
}) {
  return (
    <ToggleGroup.Root
      type="single"
      value={direction}
      onValueChange={(d) => d && setDirection(d as Way)}
      aria-label="Direction sewn"
      className="mt-0.5 flex flex-wrap gap-1"
    >
      {([ALL, ...DIRECTIONS] as const).map((d) => {
        const v = d === ALL ? undefined : verdicts[d];
        return (
          <ToggleGroup.Item
            key={d}
            value={d}
            className="inline-flex min-h-11 items-center gap-1.5 rounded border border-rule bg-cloth px-2.5 data-[state=on]:border-indigo data-[state=on]:bg-indigo-tint data-[state=on]:font-semibold"
          >
            {d === ALL ? 'All four ways' : DIRECTION_LABEL[d]}
            {v !== undefined && (
              <span className={TONE_TEXT[verdictTone(v)]}>
                {VERDICT_SIGN[v]}
                <span className="sr-only"> judged {v}</span>
              </span>
            )}
          </ToggleGroup.Item>
        );
      })}
    </ToggleGroup.Root>
  );
}

/** What else is seen on the test stitches. */
function AlsoSeen({ seen, onSeen: setSeen }: { seen: readonly string[]; onSeen: (ids: string[]) => void }) {
  return (
    <div role="group" aria-label="Also seen" className="mt-1.5 flex flex-wrap items-center gap-1.5">
      <span className="text-13 text-ink2">Also seen</span>
      {SEEN_IN_TESTS.map((id) => (
        <button
          key={id}
          type="button"
          aria-pressed={seen.includes(id)}
          onClick={() => setSeen(seen.includes(id) ? seen.filter((s) => s !== id) : [...seen, id])}
          className="min-h-11 rounded border border-rule bg-cloth px-2 text-13 aria-pressed:border-2 aria-pressed:border-madder aria-pressed:font-semibold"
        >
          {SEEN_LABEL[id]}
        </button>
      ))}
    </div>
  );
}
