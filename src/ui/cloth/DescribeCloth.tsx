'use client';
import { predicted } from '@/core/source/known';
import { useRouter } from 'next/navigation';
import { useCallback, useState } from 'react';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import type { CarefulMatch } from '@/core/cloth/careful-match';
import { type NearCloth, WEIGHT_WORDS } from '@/core/cloth/nearest-cloth';
import type { MatchRequest } from '@/core/match/request';
import { MODE_LABEL } from '@/core/stitch/machine';
import { type Shine, SHINE_LABEL, SHINES, type Weave, WEAVE_LABEL, WEAVES } from '@/core/tables/cloth-looks';
import { fabrics } from '@/core/tables/fabrics';
import { POINT_LABEL } from '@/core/tables/needles';
import { FOOT_LABEL } from '@/core/tables/techniques';
import { Explained } from '@/ui/kit/Explained';
import { Button } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Field, TextField } from '@/ui/kit/Field';
import { numberOf } from '@/ui/kit/number-of';
import { Problems } from '@/ui/kit/Problems';
import { Sourced } from '@/ui/kit/Sourced';
import { useActionForm } from '@/ui/kit/use-action-form';
import { useCareful } from './use-careful';

const STRETCH = ['none', 'gives a little', 'stretches', 'stretches much'];
export interface UnknownCloth {
  zoneId: string;
  letter: string;
  version: number;
  /** Which cloth of the zone. */
  position: number;
  name: string;
  /** Whether it stands as unknown; only then can it be named. */
  unknown: boolean;
}

/** A cloth nobody knows: described by hand and eye, it gets its nearest kinds, a cautious set-up and one test. */
export function DescribeCloth({
  quiltId,
  cloth,
  request,
  names,
}: {
  quiltId: string;
  cloth: UnknownCloth;
  request: MatchRequest;
  names: Readonly<Record<string, string>>;
}) {
  const [weight, setWeight] = useState('145');
  const [weave, setWeave] = useState<Weave>('plain');
  const [stretch, setStretch] = useState(0);
  const [shine, setShine] = useState<Shine>('matt');
  const gM2 = numberOf(weight);
  const known = typeof gM2 === 'number';
  const told = useCareful({
    request,
    clothIndex: cloth.position,
    description: { gM2: known ? gM2 : 145, weave, stretch, shine },
  });
  const answer = known && told && typeof told !== 'string' ? told : null;
  const router = useRouter();
  const named = useCallback(() => {
    toast('The fabric is kept under its kind, with its description.');
    router.refresh();
  }, [router]);
  const { send, pending, problems } = useActionForm(doors.nameCloth, named);
  const inWords = `${gM2} g/m², ${WEAVE_LABEL[weave]}, stretch: ${STRETCH[stretch]}, ${SHINE_LABEL[shine]}`;
  return (
    <div className="mt-2 grid gap-x-8 gap-y-4 border-t-2 border-ink pt-3 lg:grid-cols-[300px_minmax(0,1fr)]">
      <form className="space-y-3" aria-label="Describe the fabric" onSubmit={(e) => e.preventDefault()}>
        <TextField
          id="cloth-weight"
          label="Weight"
          hint="g/m²; weigh a square of 10 cm and take it times 100"
          inputMode="decimal"
          value={weight}
          onChange={(e) => setWeight(e.target.value)}
          error={known ? (typeof told === 'string' ? told : undefined) : 'Give the weight as a number.'}
        />
        <div role="group" aria-label="Weight in words" className="flex flex-wrap gap-1.5">
          {WEIGHT_WORDS.map((w) => (
            <button
              key={w.word}
              type="button"
              aria-pressed={gM2 === w.gM2}
              onClick={() => setWeight(String(w.gM2))}
              className="min-h-11 rounded border border-rule px-2.5 aria-pressed:border-indigo aria-pressed:bg-indigo-tint"
            >
              {w.word}
            </button>
          ))}
        </div>
        <OneOf
          id="cloth-weave"
          label="Weave"
          value={weave}
          options={WEAVES.map((w) => [w, WEAVE_LABEL[w]])}
          onPick={(w) => setWeave(w as Weave)}
        />
        <OneOf
          id="cloth-stretch"
          label="Stretch across"
          value={String(stretch)}
          options={STRETCH.map((word, i) => [String(i), word])}
          onPick={(i) => setStretch(Number(i))}
        />
        <OneOf
          id="cloth-shine"
          label="Shine"
          value={shine}
          options={SHINES.map((x) => [x, SHINE_LABEL[x]])}
          onPick={(x) => setShine(x as Shine)}
        />
      </form>
      <div aria-live="polite">
        <Problems problems={problems} />
        {answer && (
          <>
            <h3 className="text-[17px]">Nearest to it</h3>
            <ol className="mt-1 border-t">
              {answer.kinds.map((k) => (
                <NearRow
                  key={k.id}
                  near={k}
                  hardest={k.id === answer.hardest}
                  act={
                    cloth.unknown && (
                      <Button
                        disabled={pending}
                        onClick={() =>
                          !pending &&
                          send({
                            quiltId,
                            zoneId: cloth.zoneId,
                            version: cloth.version,
                            position: cloth.position,
                            kind: k.id,
                            described: inWords,
                          })
                        }
                      >
                        It is this
                      </Button>
                    )
                  }
                />
              ))}
            </ol>
            <CarefulSetup answer={answer} names={names} />
            <h3 className="mt-4 text-[17px]">Sew this first: {answer.test.what.toLowerCase()}</h3>
            <ol className="mt-1 list-decimal space-y-0.5 pl-5">
              {answer.test.steps.map((s) => (
                <li key={s}>{s}</li>
              ))}
            </ol>
            {answer.test.cautions.map((c) => (
              <p key={c.code} className="mt-1.5">
                <CautionLine caution={c} />
              </p>
            ))}
            <ul className="mt-1.5 space-y-1">
              {answer.test.tells.map((t) => (
                <li key={t.outcome} className="border-t pt-1">
                  <b className="font-semibold">{t.outcome}</b>
                  {t.kinds.length > 0 && (
                    <span className="text-ink2">
                      {' '}
                      · like {t.kinds.map((k) => fabrics.get(k).label).join(' or ')}
                    </span>
                  )}
                </li>
              ))}
            </ul>
          </>
        )}
      </div>
    </div>
  );
}

function OneOf({
  id,
  label,
  value,
  options,
  onPick,
}: {
  id: string;
  label: string;
  value: string;
  options: readonly (readonly [string, string])[];
  onPick: (value: string) => void;
}) {
  return (
    <Field id={id} label={label}>
      <select
        id={id}
        className="min-h-11 w-full rounded border border-rule bg-cloth px-2 text-16"
        value={value}
        onChange={(e) => onPick(e.target.value)}
      >
        {options.map(([v, word]) => (
          <option key={v} value={v}>
            {word}
          </option>
        ))}
      </select>
    </Field>
  );
}

function NearRow({ near, hardest, act }: { near: NearCloth; hardest: boolean; act: React.ReactNode }) {
  const kind = fabrics.get(near.id);
  return (
    <li className="flex min-h-12 items-center gap-3 border-b py-1">
      <span className="min-w-0 flex-1">
        <b className="font-semibold">{kind.label}</b>{' '}
        <span className="text-ink2">
          {near.differs.length === 0 ? 'fits in everything' : `but ${near.differs.join(', ')}`}
          {hardest && ' · the hardest of them to sew'}
          {kind.advice && ` · ${kind.advice}`}
        </span>
      </span>
      {act}
    </li>
  );
}

function CarefulSetup({
  answer: { setup: s, kinds },
  names,
}: {
  answer: CarefulMatch;
  names: Readonly<Record<string, string>>;
}) {
  return (
    <>
      <h3 className="mt-4 text-[17px]">
        A cautious set-up{kinds.length > 1 && `, sound on ${kinds.length === 2 ? 'both' : 'all three'}`}
      </h3>
      {s ? (
        <dl className="mt-1 grid grid-cols-2 gap-x-4 gap-y-1.5 border-t pt-1.5 md:grid-cols-3">
          {(
            [
              ['Top thread', names[s.topId]],
              ['Bobbin thread', names[s.bobbinId]],
              ['Needle', `Nm ${s.needle.nm}, ${POINT_LABEL[s.needle.point]}`],
              ['Stitch length', `${Number(s.spi.toFixed(1))} per inch`],
              ['Foot and mode', `${FOOT_LABEL[s.foot]}, ${MODE_LABEL[s.mode].toLowerCase()}`],
              ['Start tension', `${Math.round(s.topGf)} over ${Math.round(s.bobbinGf)} g`],
            ] as const
          ).map(([label, value]) => (
            <div key={label}>
              <dt className="text-13 text-ink2">
                <Explained word={label} />
              </dt>
              <dd className="font-semibold">
                <Sourced of={predicted(value)}>{value}</Sourced>
              </dd>
            </div>
          ))}
        </dl>
      ) : (
        <p className="mt-1 font-medium text-weld-text">
          No pair of threads on the shelf suits all of these kinds. Sew the test first, then say which it is.
        </p>
      )}
    </>
  );
}
