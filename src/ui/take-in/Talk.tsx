'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState } from 'react';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import type { Problem } from '@/actions/result';
import { measure } from '@/core/plan/measure';
import type { Machine, StudioBatting, StudioFabric } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { TextField } from '@/ui/kit/Field';
import { ClothFields, type ClothSaid, clothSent } from './ClothFields';
import { Problems } from '@/ui/kit/Problems';
import { fromForm, inchesOf, type Values } from '@/ui/kit/field-spec';
import { SpecInput } from '@/ui/kit/SpecInput';
import { useActionForm } from '@/ui/kit/use-action-form';
import { useAutosave } from '@/ui/kit/use-autosave';
import { talkPages } from './pages';
import { Photographs } from './Photographs';
import { DayOffered } from './DayOffered';
import { type ConditionSaid, FoundAtCounter, foundSent } from './FoundAtCounter';
import { PlanSketch } from './PlanSketch';
import { TalkCautions } from './TalkCautions';

/** Everything said, as it was typed. */
interface Said {
  record: Values;
  widths: string[];
  lengths: string[];
  cloths: ClothSaid[];
  conditions: ConditionSaid[];
}

interface Kept {
  step: number;
  data: Record<string, unknown>;
}

type TalkProps = {
  intake: { id: string; step: number; data: Record<string, unknown>; version: number };
  fabrics: StudioFabric[];
  battings: StudioBatting[];
  machines: Machine[];
  clients: string[];
  photographs: string[];
  usualDue: string;
  currency: string;
};

/** What was said so far and on which page, kept after every pause and at every step; what was left here unsent is back. */
function useSaid(props: TalkProps) {
  const { intake } = props;
  const [step, setStep] = useState(intake.step);
  const [said, setSaid] = useState<Said>(() => beginWith(props));
  const { state, saver } = useAutosave<Kept>({
    draftKey: `talk ${intake.id}`,
    version: intake.version,
    send: ({ key, version, body }) => doors.keepIntake({ key, id: intake.id, version, ...body }),
    beacon: ({ key, version, body }) => [
      '/take-in/keep',
      JSON.stringify({ key, id: intake.id, version, ...body }),
    ],
    show: (left) => {
      setSaid((now) => ({ ...now, ...(left.data as Partial<Said>) }));
      setStep(left.step);
    },
  });
  const put = (at: number, what: Said) =>
    saver.put({ step: at, data: { ...what, client: what.record.client, name: what.record.name } });
  // Two boxes may be filled before the page is drawn anew.
  const latest = useRef(said);
  useEffect(() => {
    latest.current = said;
  }, [said]);
  const change = (part: Partial<Said>) => {
    const next = { ...latest.current, ...part };
    latest.current = next;
    setSaid(next);
    put(step, next);
  };
  const set = (name: string, value: Values[string]) =>
    change({ record: { ...latest.current.record, [name]: value } });
  const go = (to: number) => {
    setStep(to);
    put(to, said);
    saver.now();
    window.scrollTo(0, 0);
  };
  return { step, said, state, saver, change, set, go };
}

/** Takes the quilt in once all that was said is kept, and tells which page has what to mend. */
function useTakingIn(intakeId: string, said: Said, pages: TalkPages, settled: () => Promise<boolean>) {
  const router = useRouter();
  const [away, setAway] = useState(false);
  const take = useActionForm(doors.takeIn, ({ id }) => {
    toast('Taken in.');
    router.push(`/quilts/${id}/take-in`);
  });
  const finish = async () => {
    if (!(await settled())) return setAway(true);
    setAway(false);
    take.send({ ...asForm(said, pages), intakeId });
  };
  const problemsOn = (i: number): Problem[] =>
    take.problems.filter((p) =>
      pages[i]!.paths.some((path) => p.path === path || p.path.startsWith(`${path}.`)),
    );
  return { away, finish, problemsOn, problems: take.problems, pending: take.pending, at: take.problemAt };
}
type TalkPages = ReturnType<typeof talkPages>;
type TakingIn = ReturnType<typeof useTakingIn>;

/** The talk at the counter: five short pages, kept after every pause and at every step. */
export function Talk(props: TalkProps) {
  const { intake, fabrics, battings, machines } = props;
  const pages = useMemo(() => talkPages(props), [props]);
  const { step, said, state, saver, change, set, go } = useSaid(props);
  const taking = useTakingIn(intake.id, said, pages, () => saver.settled());
  const { at } = taking;
  const page = pages[step - 1]!;
  return (
    <div className="mx-auto max-w-[880px] px-6 pt-4 pb-10">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="flex-1 text-24">Take in: {String(said.record.name || 'a quilt')}</h1>
        <p role="status" className={'words' in state ? 'max-w-[480px] font-medium text-madder' : 'text-ink2'}>
          {'words' in state ? state.words : state.kind === 'keeping' ? 'saving …' : 'saved'}
        </p>
      </div>
      <PageTabs pages={pages} step={step} go={go} problemsOn={taking.problemsOn} />
      <section aria-label={page.title} className="mt-4">
        <p className="text-[17px]">{page.ask}</p>
        <div className="mt-3 grid gap-3 sm:grid-cols-2">
          {page.specs
            .filter((s) => !s.when || s.when(said.record))
            .map((s) => (
              <div key={s.name} className={s.kind === 'long' || s.kind === 'checks' ? 'sm:col-span-2' : ''}>
                <SpecInput
                  spec={s}
                  value={said.record[s.name] ?? ''}
                  onChange={(v) => set(s.name, v)}
                  error={at(s.name)}
                />
              </div>
            ))}
        </div>
        {step === 2 && <Measures said={said} change={change} at={at} />}
        {step === 3 && (
          <>
            <Cloths cloths={said.cloths} fabrics={fabrics} change={(cloths) => change({ cloths })} at={at} />
            <FoundAtCounter
              intakeId={intake.id}
              list={said.conditions}
              change={(conditions) => change({ conditions })}
              problemAt={at}
            />
            <Photographs ofId={intake.id} first={props.photographs} />
          </>
        )}
        {step === 5 && said.record.plan !== 'like' && (
          <PlanSketch
            values={{ ...said.record, widthIn: meanOf(said.widths), lengthIn: meanOf(said.lengths) }}
          />
        )}
        {step === 5 && <DayOffered form={asForm(said, pages)} onPick={(day) => set('dueOn', day)} />}
        <TalkCautions
          step={step}
          use={String(said.record.use)}
          features={(said.record.features as string[]) ?? []}
          battingKind={battings.find((b) => b.id === said.record.battingId)?.kind}
          clothKinds={said.cloths.map((c) => fabrics.find((f) => f.id === c.fabricId)?.kind ?? 'unknown')}
          machine={machines.find((m) => m.id === said.record.machineId)}
          size={[meanOf(said.widths), meanOf(said.lengths)].map(Number) as [number, number]}
        />
      </section>
      {step === 5 && <ToMend pages={pages} go={go} taking={taking} isKept={state.kind === 'kept'} />}
      <div className="mt-5 flex gap-3">
        {step > 1 && (
          <Button look="quiet" onClick={() => go(step - 1)}>
            Back
          </Button>
        )}
        {step < 5 ? (
          <Button look="act" className="flex-1" onClick={() => go(step + 1)}>
            Next: {pages[step]!.title}
          </Button>
        ) : (
          <Button
            look="act"
            className="flex-1"
            disabled={taking.pending}
            onClick={() => void taking.finish()}
          >
            Take it in
          </Button>
        )}
      </div>
    </div>
  );
}

/** The five pages, the one that is open marked, each with what is to be mended on it. */
function PageTabs({
  pages,
  step,
  go,
  problemsOn,
}: {
  pages: TalkPages;
  step: number;
  go: (to: number) => void;
  problemsOn: TakingIn['problemsOn'];
}) {
  return (
    <ol className="mt-2 flex flex-wrap border-b" aria-label="Pages of the intake">
      {pages.map((p, i) => (
        <li key={p.title}>
          <button
            type="button"
            aria-current={i + 1 === step ? 'step' : undefined}
            onClick={() => go(i + 1)}
            className={`flex min-h-11 items-center gap-2 border-b-[3px] px-3 ${i + 1 === step ? 'border-indigo font-bold' : 'border-transparent'}`}
          >
            {i + 1}. {p.title}
            {problemsOn(i).length > 0 && (
              <span className="text-madder">({problemsOn(i).length} to mend)</span>
            )}
          </button>
        </li>
      ))}
    </ol>
  );
}

/** What stands in the way of taking it in, each a press from its page. */
function ToMend({
  pages,
  go,
  taking: { problems, problemsOn, away },
  isKept,
}: {
  pages: TalkPages;
  go: (to: number) => void;
  taking: TakingIn;
  isKept: boolean;
}) {
  return (
    <div className="mt-3">
      {problems.length > 0 && (
        <ul role="alert" className="border-l-4 border-madder bg-madder-tint px-3 py-2">
          {pages.map((p, i) =>
            problemsOn(i).map((problem) => (
              <li key={problem.path}>
                <button
                  type="button"
                  className="min-h-11 text-left font-medium underline"
                  onClick={() => go(i + 1)}
                >
                  {p.title}: {problem.message}
                </button>
              </li>
            )),
          )}
        </ul>
      )}
      {away && !isKept && (
        <p role="alert" className="font-medium text-madder">
          Not taken in yet: what you typed last is not saved, for the studio’s computer did not answer. It
          stays on this device; press again in a moment.
        </p>
      )}
      <Problems problems={problems} fields={pages.flatMap((p) => p.paths)} />
    </div>
  );
}

function meanOf(three: readonly string[]): string {
  const numbers = three.map((t) => inchesOf(t)).filter((n): n is number => typeof n === 'number');
  return numbers.length === 0
    ? ''
    : String(Math.round((numbers.reduce((a, b) => a + b, 0) / numbers.length) * 8) / 8);
}

function beginWith({ intake, fabrics, battings, machines, usualDue }: TalkProps): Said {
  const data = intake.data as Partial<Said>;
  const cotton = fabrics.find((f) => f.kind === 'quilting-cotton' && f.shipped) ?? fabrics[0]!;
  return {
    record: {
      client: '',
      name: '',
      use: 'bed',
      dueOn: usualDue,
      visibility: 'texture',
      care: '',
      wishes: '',
      features: [],
      watch: '',
      battingId: battings.find((b) => b.kind === 'unknown')?.id ?? '',
      backingId: cotton.id,
      backingClothIn: '',
      prewash: false,
      bleedGrade: '-',
      machineId: machines[0]?.id ?? '',
      phone: '',
      email: '',
      address: '',
      contactBy: '-',
      photosOk: '-',
      depositMinor: '',
      depositOn: '',
      delivery: 'collect',
      plan: 'bordered',
      borderIn: '6',
      sashIn: '2',
      columns: '3',
      rows: '4',
      ...data.record,
    },
    widths: data.widths ?? ['', '', ''],
    lengths: data.lengths ?? ['', '', ''],
    conditions: data.conditions ?? [],
    cloths: data.cloths ?? [{ fabricId: cotton.id, hex: '', share: '100' }],
  };
}

const asForm = (said: Said, pages: ReturnType<typeof talkPages>) => ({
  ...fromForm(
    pages.flatMap((p) => p.specs),
    said.record,
  ),
  likeId: said.record.likeId || null,
  widthsIn: said.widths.map(inchesOf),
  lengthsIn: said.lengths.map(inchesOf),
  fabrics: said.cloths.map(clothSent),
  conditions: said.conditions.map(foundSent),
});

const EDGES = {
  widths: ['at the top', 'in the middle', 'at the bottom'],
  lengths: ['at the left', 'in the middle', 'at the right'],
} as const;

function Measures({
  said,
  change,
  at,
}: {
  said: Said;
  change: (part: Partial<Said>) => void;
  at: (p: string) => string | undefined;
}) {
  return (
    <div className="mt-3 grid gap-6 sm:grid-cols-2">
      {(['widths', 'lengths'] as const).map((which) => {
        const numbers = said[which].map((t) => inchesOf(t));
        const sound = numbers.every((n) => typeof n === 'number' && n > 0);
        const told = sound
          ? measure(numbers as [number, number, number], which === 'widths' ? 'width' : 'length')
          : null;
        return (
          <fieldset key={which}>
            <legend className="text-[17px] font-semibold">
              {which === 'widths' ? 'Widths, in' : 'Lengths, in'}
            </legend>
            <div className="mt-1 grid gap-2">
              {EDGES[which].map((edge, i) => (
                <TextField
                  key={edge}
                  id={`${which}-${i}`}
                  label={edge}
                  inputMode="decimal"
                  value={said[which][i] ?? ''}
                  onChange={(e) =>
                    change({ [which]: said[which].map((v, k) => (k === i ? e.target.value : v)) })
                  }
                />
              ))}
            </div>
            <p
              aria-live="polite"
              className={`mt-2 min-h-11 ${told && told.verdict !== 'square' ? 'font-medium text-weld-text' : 'text-verdigris'}`}
            >
              {told?.text}
            </p>
            {at(`${which}In`) && (
              <p role="alert" className="font-medium text-madder">
                {at(`${which}In`)}
              </p>
            )}
          </fieldset>
        );
      })}
    </div>
  );
}

function Cloths({
  cloths,
  fabrics,
  change,
  at,
}: {
  cloths: ClothSaid[];
  fabrics: StudioFabric[];
  change: (cloths: ClothSaid[]) => void;
  at: (path: string) => string | undefined;
}) {
  return (
    <fieldset className="mt-4">
      <legend className="text-[17px] font-semibold">Fabrics of the top</legend>
      <ClothFields cloths={cloths} fabrics={fabrics} change={change} problemAt={at} />
    </fieldset>
  );
}
