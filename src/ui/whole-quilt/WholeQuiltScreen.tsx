'use client';
import { predicted } from '@/core/source/known';
import { useRouter } from 'next/navigation';
import { useCallback, useMemo, useState } from 'react';
import { HeadRow } from '@/ui/kit/HeadRow';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import type { WholeQuilt, WholeQuiltRequest, ZoneTogether } from '@/core/match/whole-quilt';
import { isWhole, type Listed, useRest } from '@/ui/kit/use-rest';
import { unpack } from '@/ui/kit/pack';
import { Explained } from '@/ui/kit/Explained';
import { Button } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Problems } from '@/ui/kit/Problems';
import { Sourced } from '@/ui/kit/Sourced';
import { ThreadSwatch } from '@/ui/kit/Swatch';
import { useActionForm } from '@/ui/kit/use-action-form';
import { NothingSuits } from '@/ui/match/NothingSuits';
import { shiftsInWords } from '@/core/match/shift-words';
import { useWhole } from './use-whole';

export interface WholeZone {
  id: string;
  letter: string;
  name: string;
  /** The card that stands, if any. */
  card: { topId: string; bobbinId: string; version: number } | null;
}

export interface ThreadName {
  name: string;
  hex: string | null;
}

/** All zones matched together: what each would take alone, what it takes for fewer thread changes, and at what cost. */
export function WholeQuiltScreen({
  packed,
  list,
  ...quilt
}: {
  quiltId: string;
  zones: readonly WholeZone[];
  /** The question as one text, but for the threads. */
  packed: string;
  /** The threads as a match weighs them: a studio may have thousands. */
  list: Listed;
}) {
  const text = useRest(list);
  const request = useMemo(
    (): WholeQuiltRequest => ({
      ...unpack<Omit<WholeQuiltRequest, 'threads'>>(packed),
      threads: unpack(text),
    }),
    [packed, text],
  );
  if (!isWhole(list)) return <div className="mt-4 min-h-[420px]" aria-busy="true" />;
  return <Together {...quilt} request={request} />;
}

function Together({
  quiltId,
  zones,
  request,
}: {
  quiltId: string;
  zones: readonly WholeZone[];
  request: WholeQuiltRequest;
}) {
  const threads = useMemo(
    () =>
      Object.fromEntries(
        request.threads.map((t): [string, ThreadName] => [
          t.id,
          { name: t.name ?? t.id, hex: t.hex ?? null },
        ]),
      ),
    [request],
  );
  const [refused, setRefused] = useState<readonly string[]>([]);
  const { answer, problem } = useWhole({
    ...request,
    zones: request.zones.map((z) => ({ ...z, refused: refused.includes(z.id) })),
  });
  const toggle = (id: string) =>
    setRefused((now) => (now.includes(id) ? now.filter((x) => x !== id) : [...now, id]));
  if (problem)
    return (
      <p role="alert" className="mt-4 font-medium text-madder">
        {problem}
      </p>
    );
  if (!answer) return <div className="mt-4 min-h-[420px]" aria-busy="true" />;
  if (answer.zones.every((z) => !z.setup)) return <NothingSuits what="quilt" cautions={answer.cautions} />;
  return (
    <Weighed
      {...{ quiltId, zones, threads, answer, refused, toggle }}
      key={answer.zones.map((z) => z.id).join()}
    />
  );
}

function Weighed({
  quiltId,
  zones,
  threads,
  answer,
  refused,
  toggle,
}: {
  quiltId: string;
  zones: readonly WholeZone[];
  threads: Readonly<Record<string, ThreadName>>;
  answer: WholeQuilt;
  refused: readonly string[];
  toggle: (id: string) => void;
}) {
  const router = useRouter();
  const saved = useCallback(
    ({ cards }: { cards: number }) => {
      toast(`${cards} setting ${cards === 1 ? 'card' : 'cards'} written.`);
      router.refresh();
    },
    [router],
  );
  const { send, pending, problems } = useActionForm(doors.chooseWhole, saved);
  const changed = answer.zones.flatMap((z) => {
    const zone = zones.find((x) => x.id === z.id)!;
    const same = zone.card?.topId === z.setup?.topId && zone.card?.bobbinId === z.setup?.bobbinId;
    if (!z.setup || z.kept || same) return [];
    const { topId, bobbinId } = z.setup;
    return [{ zoneId: z.id, topId, bobbinId, seenVersion: zone.card?.version ?? 0 }];
  });
  const { together, apart } = answer;
  const lettersOf = (ids: readonly string[]) =>
    ids.map((id) => zones.find((z) => z.id === id)?.letter ?? '').join(', ');
  return (
    <>
      <div className="mt-2.5 flex flex-wrap items-center gap-x-3.5 gap-y-1">
        <h2 className="text-24">Whole quilt</h2>
        <p className="min-w-0 flex-1 text-ink2 max-sm:order-last max-sm:w-full max-sm:flex-none">
          {answer.exact ? 'the cheapest choice there is' : 'the cheapest choice found'}; a zone gives up a
          little where that spares a change of thread
        </p>
        <Button
          look="act"
          disabled={pending || changed.length === 0}
          onClick={() => !pending && send({ quiltId, cards: changed })}
        >
          {changed.length === 0
            ? 'All cards stand so'
            : `Use ${changed.length === 1 ? 'this set-up' : `these ${changed.length} set-ups`}`}
        </Button>
      </div>
      <Problems problems={problems.map((p) => ({ ...p, path: '' }))} />
      <dl className="mt-2 grid grid-cols-3 divide-x border-y border-t-2 border-t-ink">
        <Count label="Top threads" now={together.tops.length} alone={apart.tops.length} first />
        <Count label="Bobbin threads" now={together.bobbins.length} alone={apart.bobbins.length} />
        <Count
          label="Changes of thread in a sweep"
          now={Math.max(0, together.tops.length - 1)}
          alone={Math.max(0, apart.tops.length - 1)}
        />
      </dl>
      <ul className="mt-2 space-y-1">
        {answer.cautions.map((c) => (
          <li key={c.text}>
            <CautionLine caution={c} />
          </li>
        ))}
        {answer.said.map(({ caution, zones: ids }) => (
          <li key={caution.text} className="flex gap-2">
            <b className="whitespace-nowrap">{lettersOf(ids)}</b>
            <CautionLine caution={caution} />
          </li>
        ))}
      </ul>
      {answer.alike.map((ids) => (
        <p key={ids.join()} className="mt-1">
          <b>{lettersOf(ids)}</b> are sewn with one set-up: one test serves them all.
        </p>
      ))}
      <table className="mt-2 w-full border-t-2 border-ink text-[14.5px]">
        <HeadRow
          names={['Zone', 'Top and bobbin', 'On its own', 'What the trade costs', 'Refuse']}
          act={false}
        />
        <tbody>
          {answer.zones.map((z) => (
            <ZoneRow
              key={z.id}
              zone={zones.find((x) => x.id === z.id)!}
              answer={z}
              threads={threads}
              refused={refused.includes(z.id)}
              onRefuse={() => toggle(z.id)}
            />
          ))}
        </tbody>
      </table>
    </>
  );
}

function Count({
  label,
  now,
  alone,
  first = false,
}: {
  label: string;
  now: number;
  alone: number;
  first?: boolean;
}) {
  return (
    <div className={`py-2 ${first ? 'pr-4' : 'px-4'}`}>
      <dt className="text-13 text-ink2">
        <Explained word={label} />
      </dt>
      <dd>
        <Sourced of={predicted(null)}>
          <b className="text-32 leading-none">{now}</b>
        </Sourced>{' '}
        <span className="text-ink2">{now < alone ? `instead of ${alone}` : 'as zone by zone'}</span>
      </dd>
    </div>
  );
}

function ZoneRow({
  zone,
  answer: z,
  threads,
  refused,
  onRefuse,
}: {
  zone: WholeZone;
  answer: ZoneTogether;
  threads: Readonly<Record<string, ThreadName>>;
  refused: boolean;
  onRefuse: () => void;
}) {
  if (!z.setup || !z.own)
    return (
      <tr className="border-t align-middle">
        <ZoneName zone={zone} />
        <td colSpan={4} className="py-2 font-medium text-weld-text">
          Nothing on the shelf suits this zone: look at it on its own.
        </td>
      </tr>
    );
  const traded = z.setup.topId !== z.own.topId || z.setup.bobbinId !== z.own.bobbinId;
  return (
    <tr className="h-12 border-t align-middle">
      <ZoneName zone={zone} />
      <td className="py-1.5 pr-3">
        <Pair top={threads[z.setup.topId]} bobbin={threads[z.setup.bobbinId]} />
      </td>
      <td className="py-1.5 pr-3">
        {traded ? (
          <Pair top={threads[z.own.topId]} bobbin={threads[z.own.bobbinId]} />
        ) : (
          <span className="text-ink2">{z.kept ? 'tested: its card stays' : 'the same'}</span>
        )}
      </td>
      <td className="max-w-[260px] py-1.5 pr-3 leading-tight">
        {traded ? (
          shiftsInWords(z.shifts) || 'nothing to speak of'
        ) : (
          <span className="text-verdigris">nothing</span>
        )}
      </td>
      <td className="py-1.5">
        {!z.kept && (traded || refused) && (
          <label className="inline-flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              checked={refused}
              onChange={onRefuse}
              aria-label={`Zone ${zone.letter} keeps its own best`}
              className="size-5 accent-(--indigo)"
            />
            <span aria-hidden>its own best</span>
          </label>
        )}
      </td>
    </tr>
  );
}

const ZoneName = ({ zone }: { zone: WholeZone }) => (
  <th scope="row" className="py-1.5 pr-3 text-left font-normal">
    <b className="mr-1.5 font-bold">{zone.letter}</b>
    {zone.name}
  </th>
);

function Pair({ top, bobbin }: { top?: ThreadName; bobbin?: ThreadName }) {
  return (
    <span className="flex items-center gap-2.5">
      <ThreadSwatch hex={top?.hex ?? null} />
      <span className="leading-tight">
        <b className="font-semibold">{top?.name}</b>
        <br />
        <span className="text-ink2">over {bobbin?.name}</span>
      </span>
    </span>
  );
}
