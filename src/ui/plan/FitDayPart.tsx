'use client';
import { useMemo, useState } from 'react';
import type { MotifsRequest } from '@/core/motifs/request';
import { type FitChange, fitWords, type FitZone } from '@/core/plan/fit-day';
import { MOTIFS } from '@/core/motifs/motif-table';
import { Button } from '@/ui/kit/Button';
import { TextField } from '@/ui/kit/Field';
import { numberOf } from '@/ui/kit/number-of';
import { Problems } from '@/ui/kit/Problems';
import { useQuiltZones } from '@/ui/motifs/use-quilt-zones';
import { FewerThreads, type FewerThreadShown } from './FewerThreads';
import { harmWords } from './harm-words';
import { useFitDay } from './use-fit-day';

/** A zone with what a change of it needs to know. */
export interface FitPageZone extends FitZone {
  letter: string;
  name: string;
  version: number;
}

const hours = (minutes: number) => (minutes / 60).toFixed(1);
/** Say the hours there are: what to change so that they are enough, cheapest harm first; or what more hours would buy. */
export function FitDayPart({
  quiltId,
  motifs,
  zones,
  fixedMin,
  fewer,
}: {
  quiltId: string;
  motifs: MotifsRequest;
  zones: readonly FitPageZone[];
  fixedMin: number;
  /** Threads it could do without. */
  fewer: readonly FewerThreadShown[];
}) {
  const now = zones.reduce((s, z) => s + z.minutes, fixedMin);
  const [given, setGiven] = useState(hours(now));
  const read = numberOf(given);
  const sound = typeof read === 'number' && read > 0 && read <= 1000;
  const request = useMemo(
    () => ({ motifs, zones, fixedMin, targetMin: (sound ? read : now / 60) * 60 }),
    [motifs, zones, fixedMin, sound, read, now],
  );
  const { answer, problem } = useFitDay(request);
  const apply = useQuiltZones(quiltId, zones, 'The zone is quilted so from now on. Match its set-up again.');
  const send = (list: readonly FitChange[]) =>
    apply.send(
      list.map((c) => ({
        id: c.zone,
        technique: c.technique,
        spacingIn: MOTIFS.get(c.technique).g ? c.spacingIn : null,
      })),
    );
  const line = (c: FitChange) => {
    const zone = zones.find((z) => z.id === c.zone)!;
    return (
      <li key={`${c.zone} ${c.kind}`} className="flex flex-wrap items-center gap-x-4 border-b py-1">
        <span className="min-w-0 flex-1">
          <b>
            {zone.letter} {zone.name}
          </b>
          : {fitWords(c, zone.technique)}
          <span className="block text-13 text-ink2">
            {c.gainMin >= 0
              ? `saves ${Math.round(c.gainMin)} min`
              : `takes ${Math.round(-c.gainMin)} min more`}{' '}
            · {c.gainMin >= 0 ? `${harmWords(c.harm)}: ${c.why}` : `for now ${c.why}`}
          </span>
        </span>
        <Button look="quiet" disabled={apply.pending} onClick={() => send([c])}>
          Do it
        </Button>
      </li>
    );
  };
  const day = answer?.ok ? answer.day : null;
  const others = day ? day.changes.filter((c) => !day.fit?.includes(c)) : [];
  return (
    <div className="mt-3 max-w-[860px]">
      <div className="flex flex-wrap items-end gap-4">
        <div className="w-[140px]">
          <TextField
            id="fit-hours"
            label="Hours there are"
            inputMode="decimal"
            value={given}
            onChange={(e) => setGiven(e.target.value)}
            error={sound ? undefined : 'Give hours, such as 7.5.'}
          />
        </div>
        <p className="pb-2 text-20">
          The quilt takes <b>{hours(now)} h</b>
          {day &&
            (Math.abs(day.overMin) < 3
              ? ', just what there is'
              : day.overMin > 0.5
                ? `, ${hours(day.overMin)} h too many`
                : `, ${hours(-day.overMin)} h are left`)}
          .
        </p>
      </div>
      <Problems problems={apply.problems} />
      {(problem ?? (answer && !answer.ok ? answer.message : null)) && (
        <p role="alert" className="mt-2 font-medium text-weld-text">
          {problem ?? (answer && !answer.ok ? answer.message : '')}
        </p>
      )}
      {day?.fit === null && (
        <p className="mt-2 font-medium text-weld-text">
          No change of techniques is enough. The best there is stands below; else another day, or fewer zones.
        </p>
      )}
      {day?.fit && day.fit.length > 0 && (
        <section aria-label="Makes it fit" className="mt-3">
          <div className="flex flex-wrap items-center gap-4 border-b-2 border-ink pb-1">
            <h3 className="flex-1 text-20">
              This makes it fit: {Math.round(day.fit.reduce((s, c) => s + c.gainMin, 0))} min saved
            </h3>
            <Button look="act" disabled={apply.pending} onClick={() => send(day.fit!)}>
              Do {day.fit.length === 1 ? 'it' : 'all of it'}
            </Button>
          </div>
          <ul>{day.fit.map(line)}</ul>
        </section>
      )}
      {day && day.overMin > 0.5 && fewer.length > 0 && <FewerThreads quiltId={quiltId} fewer={fewer} />}
      {others.length > 0 && (
        <section aria-label="Also saves time" className="mt-4">
          <h3 className="border-b-2 border-ink pb-1 text-[17px]">What else saves time, least harm first</h3>
          <ul>{others.slice(0, 12).map(line)}</ul>
        </section>
      )}
      {day && day.better.length > 0 && (
        <section aria-label="An hour more" className="mt-4">
          <h3 className="border-b-2 border-ink pb-1 text-[17px]">What an hour more would buy</h3>
          <ul>{day.better.slice(0, 6).map(line)}</ul>
        </section>
      )}
      {day && day.changes.length === 0 && day.better.length === 0 && (
        <p className="mt-3 text-ink2">Nothing here saves time without leaving work undone.</p>
      )}
    </div>
  );
}
