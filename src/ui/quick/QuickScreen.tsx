'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import { type QuickAnswer, type QuickAsk, type QuickStudio, USUAL_MACHINE } from '@/core/match/quick';
import {
  labelOf as threadLabel,
  readSharedSetup,
  type SharedSetup,
  sharedSetupFile,
} from '@/core/match/shared-setup';
import type { MeasuredScale } from '@/core/machine/scales';
import { predicted } from '@/core/source/known';
import { MODE_LABEL } from '@/core/stitch/machine';
import { needleName } from '@/core/tables/needles';
import { FOOT_LABEL } from '@/core/tables/techniques';
import { saveFile } from '@/ui/draw/save-drawing';
import { Button, ButtonLink } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Field, TextField } from '@/ui/kit/Field';
import { OpenFile } from '@/ui/kit/OpenFile';
import { Problems } from '@/ui/kit/Problems';
import { DropTest, dropOf } from '@/ui/kit/DropTest';
import { Term } from '@/ui/kit/Term';
import { SourceKey, Sourced } from '@/ui/kit/Sourced';
import { useActionForm } from '@/ui/kit/use-action-form';
import { SharedSetupPart } from './SharedSetupPart';
import { useQuick } from './use-quick';

export interface Option {
  value: string;
  label: string;
}
export interface QuickLists {
  fabrics: readonly Option[];
  battings: readonly Option[];
  techniques: readonly Option[];
  uses: readonly Option[];
  wishes: readonly Option[];
}

/** Fabric, batting, technique, a thread: and how to set the machine for it, as one types. */
export function QuickScreen({
  first,
  lists,
  studio,
  usual,
  zones,
}: {
  first: QuickAsk;
  lists: QuickLists;
  studio: Omit<QuickStudio, 'scales'> & { measured: readonly MeasuredScale[] };
  /** Machines of the usual kinds, to pick from while the studio has none. */
  usual: readonly (Option & { machine: NonNullable<QuickStudio['machine']> })[];
  /** Zones that wait for a set-up. */
  zones: readonly (Option & { quiltId: string })[];
}) {
  const router = useRouter();
  const [ask, setAsk] = useState(first);
  const [kind, setKind] = useState('');
  const [shared, setShared] = useState<SharedSetup | null>(null);
  const [zoneId, setZone] = useState(zones[0]?.value ?? '');
  const machine = studio.machine ?? usual.find((u) => u.value === kind)?.machine ?? null;
  const { answer, problem } = useQuick({ ask, studio: { ...studio, machine } });
  const intoZone = useActionForm(doors.quickToZone, ({ quiltId }) =>
    router.push(
      `/quilts/${quiltId}/match?zone=${zoneId}${studio.threads.some((t) => t.id === ask.thread) ? `&topId=${ask.thread}` : ''}`,
    ),
  );
  const begin = useActionForm(doors.beginIntake, ({ id }) => router.push(`/take-in/${id}`));
  const set = (part: Partial<QuickAsk>) => setAsk((now) => ({ ...now, ...part }));
  const told = answer?.ok ? answer.value : null;
  const wrong = answer && !answer.ok ? answer.message : problem;
  const pick = (
    field: 'fabric' | 'batting' | 'technique' | 'backing' | 'use' | 'visibility',
    label: string,
    options: readonly Option[],
  ) => (
    <Pick
      id={`quick-${field}`}
      label={label}
      options={options}
      value={ask[field]}
      onChange={(value) => set({ [field]: value })}
    />
  );
  const take = (text: string): string | null => {
    const read = readSharedSetup(text);
    if (read === null || typeof read === 'string')
      return read ?? 'This is no set-up that somebody gave away.';
    setShared(read);
    // The cone of that name where there is one, else its size and fibre.
    const own = studio.threads.find((t) => t.name === read.top.name && t.fibre === read.top.fibre);
    setAsk({ ...read.ask, thread: own?.id ?? threadLabel(read.top) });
    return null;
  };
  const labelOf = (options: readonly Option[], value: string) =>
    options.find((o) => o.value === value)?.label ?? value;
  return (
    <div className="mx-auto max-w-[1180px] px-6 pt-4 pb-10 max-sm:px-4">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-24">Quick set-up</h1>
        <p className="flex-1 text-ink2 print:hidden">
          How to set the machine for a fabric, a batting and a thread. No quilt needed.
        </p>
      </div>
      <div className="mt-3 grid gap-x-8 gap-y-5 lg:grid-cols-[340px_minmax(0,1fr)]">
        <form
          aria-label="What is sewn"
          className="space-y-3 print:hidden"
          onSubmit={(e) => e.preventDefault()}
        >
          {pick('fabric', 'Fabric', lists.fabrics)}
          {pick('batting', 'Batting', lists.battings)}
          {pick('technique', 'Technique', lists.techniques)}
          <TextField
            id="quick-thread"
            label="Thread, as on its label"
            hint="empty: what would you take?"
            placeholder="Poly 40 white"
            list="quick-threads"
            suggest={studio.threads.map((t) => t.name ?? t.id)}
            value={studio.threads.find((t) => t.id === ask.thread)?.name ?? ask.thread}
            error={answer && !answer.ok && answer.path === 'thread' ? answer.message : undefined}
            onChange={(e) => {
              const name = e.target.value;
              set({ thread: studio.threads.find((t) => t.name === name)?.id ?? name });
            }}
          />
          <details>
            <summary className="min-h-11 cursor-pointer py-2.5 font-medium">
              Backing, use, how it should look{studio.machine ? '' : ', machine'}
            </summary>
            <div className="space-y-3">
              {pick('backing', 'Backing', lists.fabrics)}
              {pick('use', 'For', lists.uses)}
              {pick('visibility', 'The quilting should', lists.wishes)}
              {!studio.machine && (
                <Pick
                  id="quick-machine"
                  label="Machine most like yours"
                  options={[{ value: '', label: 'a longarm of the usual kind' }, ...usual]}
                  value={kind}
                  onChange={setKind}
                />
              )}
            </div>
          </details>
          <OpenFile label="Open a set-up somebody gave you" read={take} />
        </form>
        <section aria-label="The set-up" aria-live="polite" className="min-h-[420px]">
          {wrong && !told ? (
            <p role="alert" className="text-20 font-medium text-madder">
              {wrong}
            </p>
          ) : told ? (
            <>
              <p className="hidden print:block">
                {labelOf(lists.fabrics, ask.fabric)}, {labelOf(lists.battings, ask.batting)},{' '}
                {labelOf(lists.techniques, ask.technique)}
              </p>
              <Card told={told} />
              {shared && <SharedSetupPart {...{ shared, told }} machine={machine ?? USUAL_MACHINE} />}
              <div className="mt-4 flex flex-wrap gap-3 print:hidden">
                <Button
                  look="act"
                  disabled={begin.pending}
                  onClick={() =>
                    begin.send({
                      quick: {
                        fabric: ask.fabric,
                        batting: ask.batting,
                        backing: ask.backing,
                        use: ask.use,
                        visibility: ask.visibility,
                        words: `${labelOf(lists.techniques, ask.technique)} with ${told.top.name ?? 'the thread'}`,
                      },
                    })
                  }
                >
                  Take in a quilt with it
                </Button>
                <Button onClick={() => window.print()}>Print</Button>
                <Button
                  onClick={() =>
                    saveFile(
                      new Blob([sharedSetupFile(ask, told, machine ?? USUAL_MACHINE)], {
                        type: 'application/json',
                      }),
                      `${labelOf(lists.techniques, ask.technique)} set-up`,
                      'json',
                    )
                  }
                >
                  Give it to somebody
                </Button>
                {studio.threads.length === 0 && <ButtonLink href="/shelf">Add your threads</ButtonLink>}
              </div>
              {zones.length > 0 && (
                <div className="mt-3 flex flex-wrap items-end gap-3 print:hidden">
                  <div className="w-[320px] max-w-full">
                    <Pick
                      id="quick-zone"
                      label="Or for a zone that waits"
                      options={zones}
                      value={zoneId}
                      onChange={setZone}
                    />
                  </div>
                  <Button
                    disabled={intoZone.pending}
                    onClick={() =>
                      intoZone.send({ zoneId, technique: ask.technique, visibility: ask.visibility })
                    }
                  >
                    Use it there
                  </Button>
                </div>
              )}
              <Problems problems={[...begin.problems, ...intoZone.problems]} />
            </>
          ) : null}
        </section>
      </div>
    </div>
  );
}

function Pick({
  id,
  label,
  options,
  value,
  onChange,
}: {
  id: string;
  label: string;
  options: readonly Option[];
  value: string;
  onChange: (value: string) => void;
}) {
  return (
    <Field id={id} label={label}>
      <select
        id={id}
        value={value}
        onChange={(e) => onChange(e.target.value)}
        className="min-h-11 w-full rounded border border-rule bg-cloth px-3 text-16"
      >
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.label}
          </option>
        ))}
      </select>
    </Field>
  );
}

/** Labels that a beginner may not know, by their word in the glossary. */
const EXPLAINED: Readonly<Record<string, string>> = {
  'Stitches per inch': 'spi',
  Regulator: 'regulator',
  'Top tension': 'top tension',
  'Bobbin tension': 'bobbin tension',
};
const one = (x: number) => String(Number(x.toFixed(1)));

/** The answer as a card: large what is set, small why, and what lies beside it. */
function Card({ told }: { told: QuickAnswer }) {
  const { setup: s, top, bobbin } = told;
  const facts = [
    [
      'Needle',
      needleName(s.needle.nm, s.needle.eye),
      s.needle.point === 'sharp' ? '' : `${s.needle.point} point`,
    ],
    ['Stitches per inch', one(s.spi), `${one(s.stitchMm)} mm`],
    ['Sewing speed', `${one(s.handInPerS)} in/s`, `machine can follow up to ${one(s.maxInPerS)}`],
    ['Foot', FOOT_LABEL[s.foot], ''],
    ['Regulator', MODE_LABEL[s.mode], ''],
    ['Top tension', told.topWords, ''],
    ['Bobbin tension', told.bobbinWords, ''],
  ] as const;
  return (
    <>
      <h2 className="border-t-2 border-ink pt-2 text-20">
        {top.name} <span className="font-normal text-ink2">on top,</span> {bobbin.name}{' '}
        <span className="font-normal text-ink2">in the bobbin</span>
      </h2>
      <dl className="mt-2 grid grid-cols-2 gap-x-6 gap-y-3 sm:grid-cols-3 xl:grid-cols-4">
        {facts.map(([label, value, beside]) => (
          <div key={label} className="min-w-0">
            <dt className="text-13 text-ink2">
              {EXPLAINED[label] ? <Term of={EXPLAINED[label]}>{label}</Term> : label}
            </dt>
            <dd className={value.length > 14 ? 'text-16 font-semibold' : 'text-24 leading-tight font-bold'}>
              <Sourced of={predicted(null)}>{value}</Sourced>
            </dd>
            {beside && <dd className="text-13 text-ink2">{beside}</dd>}
          </div>
        ))}
      </dl>
      {dropOf(told.bobbinWords) && <DropTest dropIn={dropOf(told.bobbinWords)!} />}
      <div className="mt-4 grid gap-x-8 gap-y-4 md:grid-cols-2">
        <section aria-label="Watch for">
          <h3 className="text-16">Watch for</h3>
          <ul>
            {told.watch.map((c) => (
              <li key={c.text} className="border-t py-1.5">
                <CautionLine caution={c} />
              </li>
            ))}
            {told.watch.length === 0 && (
              <li className="border-t py-1.5 text-ink2">Nothing out of the way here.</li>
            )}
          </ul>
        </section>
        <section aria-label="One step to either side">
          <h3 className="text-16">One step to either side</h3>
          <ul>
            {told.neighbours.map((n) => (
              <li key={n.what} className="border-t py-1.5">
                <b className="font-semibold">{n.what}:</b> {n.then}
              </li>
            ))}
          </ul>
        </section>
      </div>
      {told.assumed.length > 0 && (
        <p className="mt-3 text-ink2">Taken for granted: {told.assumed.join('; ')}.</p>
      )}
      <p className="mt-1 text-ink2">
        Sew a test on the same fabric and batting first; the machine’s manual comes first of all.
      </p>
      <div className="mt-2">
        <SourceKey />
      </div>
    </>
  );
}
