'use client';
import { type MeasuredScale, scalesOf } from '@/core/machine/scales';
import { predicted, proven } from '@/core/source/known';
import { DIRECTIONS, type Direction } from '@/core/fields/lists';
import { ROUND, SEEN_IN_TESTS, SEEN_LABEL } from '@/core/fields/round';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';
import { ToggleGroup } from 'radix-ui';
import { useCallback, useMemo, useState } from 'react';
import { useRouter } from 'next/navigation';
import { toast } from '@/ui/kit/toast';
import type { Search } from '@/core/tension/search';
import { doors } from '@/actions/doors';
import type { Verdict } from '@/core/tension/probit';
import type { Preferences, TestRound, ChosenSetup, Quilt, Zone } from '@/data/types';
import type { Drawing } from '@/ui/draw/mark';
import { DrawingSvg } from '@/ui/draw/Marks';
import { Button, ButtonLink } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { fromForm } from '@/ui/kit/field-spec';
import { formFields } from '@/ui/kit/form-fields';
import { Problems } from '@/ui/kit/Problems';
import { Sourced } from '@/ui/kit/Sourced';
import { SpecFields, useSpecForm } from '@/ui/kit/SpecFields';
import { useActionForm } from '@/ui/kit/use-action-form';
import { instructionOf } from './instruction';
import type { Cure } from '@/data/types';
import { format } from 'date-fns';
import type { CureCount } from './CureList';
import { TestStrip } from './TestStrip';
import { VerdictTiles } from './VerdictTiles';
import { DIRECTION_LABEL, TONE_TEXT, VERDICT_SIGN, verdictTone } from './words';

const RoundDialog = dynamic(() => patiently(() => import('./RoundDialog')).then((m) => m.RoundDialog));
const CureList = dynamic(() => patiently(() => import('./CureList')).then((m) => m.CureList));
const StandInPanel = dynamic(() => patiently(() => import('./StandInPanel')).then((m) => m.StandInPanel));

/** One judgement for the four straight directions at once. */
const ALL = 'all';
/** How unlike the models the stand-in may be, on the logarithm of the ratio. */
const STAND_IN_SD = 0.3;
const STRAIGHT = ['away', 'toward', 'left', 'right'] as const;
const SPECS = formFields(ROUND);
const FIELDS = ['verdicts', ...SPECS.map((f) => f.name)];
const gf = (x: number) => String(Number(x.toFixed(x < 50 ? 1 : 0)));

/** The test page of one zone: the strip so far, how the search narrows, and the one thing to do next. */
export function TestScreen({
  quilt,
  zone,
  setup,
  search,
  ladder,
  measured,
  school = 'both',
  colours,
  thicknessMm,
  twins = [],
  cures = [],
  cureCounts = [],
}: {
  quilt: Pick<Quilt, 'id' | 'name'>;
  zone: Pick<Zone, 'id' | 'name' | 'letter'>;
  setup: ChosenSetup;
  search: Search<TestRound>;
  /** The search drawn, by the server: its scales need not travel. */
  ladder: Drawing;
  /** What was measured on the quilt's machine. */
  measured: readonly MeasuredScale[];
  /** By gauge, by dial and eye, or both. */
  school?: Preferences['tensionSchool'];
  colours: { top: string; bobbin: string; cloth: string; backing: string };
  thicknessMm: number;
  /** Zones not tested yet that sew alike: one test serves them too. */
  twins?: readonly Pick<Zone, 'id' | 'letter' | 'name'>[];
  /** Quick cures tried with this set-up, and how each fared in this studio. */
  cures?: readonly Cure[];
  cureCounts?: readonly CureCount[];
}) {
  const { rounds, next, bands, chance } = search;
  const router = useRouter();
  const n = rounds.length + 1;
  const last = rounds.at(-1);
  const notTension = next.cautions.some((c) => c.code === 'not-tension');
  const [again, setAgain] = useState(setup.turnedBack !== null);
  const [opened, setOpened] = useState<TestRound | null>(null);
  const [seen, setSeen] = useState<readonly string[]>([]);
  const [together, setTogether] = useState<readonly string[]>(() => twins.map((t) => t.id));
  const [direction, setDirection] = useState<Direction | typeof ALL>(ALL);
  const [verdicts, setVerdicts] = useState<Partial<Record<Direction, Verdict>>>({});
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
  const scales = useMemo(() => scalesOf(measured), [measured]);
  const told = instructionOf(next, last, scales, school);
  const open = !next.done || again;
  const judge = (v: Verdict) =>
    setVerdicts({
      ...verdicts,
      ...Object.fromEntries((direction === ALL ? STRAIGHT : [direction]).map((d) => [d, v])),
    });
  const four = STRAIGHT.map((d) => verdicts[d]);
  const shown =
    direction === ALL ? (four.every((v) => v === four[0]) ? four[0] : undefined) : verdicts[direction];

  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-3.5">
        <h2 className="text-24">Test strip, {zone.name}</h2>
        <p className="text-ink2">top above, back below; threads drawn thicker than they are</p>
      </div>
      <TestStrip
        rounds={rounds}
        next={{ ...next, done: next.done && setup.turnedBack === null, chance }}
        {...colours}
        onOpen={setOpened}
      />
      {opened && (
        <RoundDialog
          round={opened}
          rounds={rounds}
          colours={colours}
          quiltId={quilt.id}
          zoneId={zone.id}
          onClose={() => setOpened(null)}
        />
      )}
      <div className="mt-2 border-t-2 border-ink pt-2" aria-live="polite">
        {setup.turnedBack && (
          <p role="status" className="mb-1 font-medium text-weld-text">
            Balanced on {format(setup.turnedBack.provenAt, 'd MMM')}, but {setup.turnedBack.why.join('; ')}.
            One test more tells whether it still holds.
          </p>
        )}
        <div className="flex flex-wrap items-baseline gap-x-4">
          <h3 className="text-24">{told.title}</h3>
          {school === 'dial' && told.turn && (
            <p className="text-28 leading-tight font-bold first-letter:uppercase">{told.turn}</p>
          )}
          <p className={school === 'dial' && told.turn ? 'text-ink2' : 'text-28 leading-tight font-bold'}>
            {told.move ? (
              <>
                <Sourced of={proven(told.move.from)}>{gf(told.move.from)}</Sourced> <span aria-hidden>→</span>
                <span className="sr-only"> to </span>{' '}
                <Sourced of={predicted(told.move.to)}>{gf(told.move.to)}</Sourced>{' '}
                <span className="text-16 font-medium">g</span>
              </>
            ) : (
              <Sourced of={next.done ? proven(next.topGf) : predicted(next.topGf)}>
                {gf(next.topGf)} <small className="text-16 font-medium">g top</small>{' '}
                <span className="text-ink2">/</span> {gf(next.bobbinGf)}{' '}
                <small className="text-16 font-medium">g bobbin</small>
              </Sourced>
            )}
          </p>
          {school !== 'dial' && told.turn && <p className="text-ink2">{told.turn}</p>}
        </div>
        {rounds.length === 0 && setup.twinLetter && (
          <p className="mt-0.5 text-ink2">
            Begins where zone {setup.twinLetter} ended: the same threads, needle, layers and technique.
          </p>
        )}
        {next.reasons.map((r) => (
          <p key={r.code} className="mt-0.5 text-ink2">
            {r.text}
          </p>
        ))}
        {next.cautions.map((c) => (
          <p key={c.code} className="mt-1">
            <CautionLine caution={c} />
          </p>
        ))}
        {notTension && (
          <>
            <CureList setupId={setup.id} tried={cures} counts={cureCounts} />
            <p className="mt-1 text-ink2">
              None of them helped: note it with F, with the direction it shows in, so that the cause can be
              looked for.
            </p>
          </>
        )}
        {next.done && !again && (
          <div className="mt-2 flex flex-wrap gap-3">
            <ButtonLink look="act" href={`/quilts/${quilt.id}/match?zone=${zone.id}`}>
              See the setting card
            </ButtonLink>
            <Button look="quiet" onClick={() => setAgain(true)}>
              Sew another test
            </Button>
          </div>
        )}
      </div>
      <div className="mt-2 grid gap-x-6 gap-y-4 min-[1000px]:grid-cols-[minmax(0,1fr)_300px]">
        <div className="min-w-0">
          {open && (
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
                <fieldset className="flex flex-wrap items-center gap-x-4">
                  <legend className="sr-only">One test for several zones</legend>
                  <span className="font-medium">
                    One test for{' '}
                    {[zone.letter, ...twins.filter((t) => together.includes(t.id)).map((t) => t.letter)].join(
                      ', ',
                    )}
                    :
                  </span>
                  {twins.map((t) => (
                    <label key={t.id} className="inline-flex min-h-11 items-center gap-1.5">
                      <input
                        type="checkbox"
                        className="size-5 accent-(--indigo)"
                        checked={together.includes(t.id)}
                        onChange={() =>
                          setTogether(
                            together.includes(t.id)
                              ? together.filter((id) => id !== t.id)
                              : [...together, t.id],
                          )
                        }
                      />
                      {t.letter} {t.name}
                    </label>
                  ))}
                </fieldset>
              )}
              <ToggleGroup.Root
                type="single"
                value={direction}
                onValueChange={(d) => d && setDirection(d as Direction)}
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
          )}
        </div>
        <div>
          <h3 className="text-[17px]">
            Tension ladder{' '}
            <span className="font-sans text-13 font-normal text-ink2">band 8 in 10, hatched 1 in 2</span>
          </h3>
          <DrawingSvg
            drawing={ladder}
            className="max-w-full"
            title={`Top tension: likely between ${Math.round(bands.at(-1)!.low80)} and ${Math.round(bands.at(-1)!.high80)} g; next ${Math.round(next.topGf)} g`}
          />
        </div>
      </div>
    </>
  );
}
