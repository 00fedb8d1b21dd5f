'use client';
import { useState } from 'react';
import { useRouter } from 'next/navigation';
import { format, parseISO } from 'date-fns';
import type { ZoneMarking } from '@/actions/marking';
import { doors } from '@/actions/doors';
import { MARK_OUTCOMES, type MarkerPick, type MarkOutcome, markedWords } from '@/core/marking/marking';
import { MARKERS } from '@/core/tables/markers';
import { techniques } from '@/core/tables/techniques';
import type { Zone } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Choice } from '@/ui/kit/Choice';
import { Problems } from '@/ui/kit/Problems';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';

type PageZone = Pick<Zone, 'id' | 'letter' | 'name' | 'technique' | 'fabrics'>;
const minutes = (n: number) => (n < 1 ? 'under a minute' : `${Math.round(n)} min`);
const WHEN = { 'before-loading': 'before loading', 'at-machine': 'as each pass comes up' } as const;

/** With what each zone is marked, when, and what a scrap has to say first. */
export function MarkingPart({
  zones,
  markings,
  frameOn,
}: {
  zones: readonly PageZone[];
  markings: readonly ZoneMarking[];
  /** The day it is planned for the frame; null while it stands on it, or is in no plan. */
  frameOn: string | null;
}) {
  const marked = zones.flatMap((z) => {
    const m = markings.find((x) => x.zoneId === z.id);
    return m && m.marks !== 'none' ? [[z, m] as const] : [];
  });
  if (marked.length === 0)
    return (
      <p className="mt-3">Nothing of this quilt needs a mark: its lines follow seams, or fill by eye.</p>
    );
  return (
    <section aria-label="Marking" className="mt-3 max-w-[960px]">
      {frameOn && (
        <p className="text-ink2">
          It comes to the frame about {format(parseISO(frameOn), 'EEEE d MMMM')}: what is drawn before has to
          last till then, twice over.
        </p>
      )}
      <ul className="mt-2 border-t-2 border-ink">
        {marked.map(([z, m]) => (
          <MarkedZone key={z.id} zone={z} marking={m} />
        ))}
      </ul>
      <ScrapForm zones={marked.map(([z]) => z)} />
    </section>
  );
}

function MarkedZone({ zone, marking }: { zone: PageZone; marking: ZoneMarking }) {
  const [first, ...others] = marking.picks;
  return (
    <li className="border-b py-3">
      <p className="text-ink2">
        <b className="text-ink">
          {zone.letter} {zone.name}
        </b>
        , {techniques.get(zone.technique).label}: {markedWords(marking.marks)}
      </p>
      {first ? (
        <Pick pick={first} isFirst />
      ) : (
        <p className="font-medium text-weld-text">
          No tool shows on every fabric here and lasts long enough. Divide the zone, or follow a ruler or the
          print.
        </p>
      )}
      {marking.cautions.map((c) => (
        <CautionLine key={c.code} caution={c} />
      ))}
      <details className="mt-1">
        <summary className="flex min-h-11 cursor-pointer items-center text-ink2">
          Other tools, and what speaks against them
        </summary>
        <ul className="grid gap-1 pb-1">
          {others.map((p) => (
            <li key={p.marker.id}>
              <Pick pick={p} />
            </li>
          ))}
          {marking.refused.map((r) => (
            <li key={r.marker.id} className="text-ink2">
              <span className="text-ink">{r.marker.label}</span>: no, {r.why}.
            </li>
          ))}
        </ul>
      </details>
    </li>
  );
}

function Pick({ pick, isFirst = false }: { pick: MarkerPick; isFirst?: boolean }) {
  const { marker, untested, ghosts } = pick;
  return (
    <p>
      <b className={isFirst ? 'text-[17px]' : ''}>{marker.label}</b>, {WHEN[pick.when]},{' '}
      {minutes(pick.minutes)}. Off by {marker.offBy}. {marker.risk}
      {untested.length > 0 && (
        <span className="block text-weld-text">
          Test first on a scrap or the trim margin of {untested.join(', ')}: wait as long, iron it if it will
          be.
        </span>
      )}
      {ghosts.length > 0 && (
        <span className="block text-weld-text">On a scrap of {ghosts.join(', ')} a ghost was left.</span>
      )}
      {pick.askClient && (
        <span className="block text-weld-text">
          Ask the client whether it may be wetted to take marks off.
        </span>
      )}
    </p>
  );
}

const OUTCOME_LABEL: Record<MarkOutcome, string> = {
  gone: 'All gone',
  ghost: 'A ghost is left',
  stays: 'It stays',
};

/** What a scrap said: kept for every quilt with that fabric. */
function ScrapForm({ zones }: { zones: readonly PageZone[] }) {
  const router = useRouter();
  const fabrics = [
    ...new Map(zones.flatMap((z) => z.fabrics.map((f) => [f.fabricId, f.name] as const))).entries(),
  ].map(([value, label]) => ({ value, label }));
  const [fabricId, setFabric] = useState(fabrics[0]?.value ?? '');
  const [marker, setMarker] = useState('ceramic-pencil');
  const { send, pending, problems, problemAt } = useActionForm(doors.tryMarker, () => {
    toast('Kept for every quilt with this fabric.');
    router.refresh();
  });
  return (
    <section aria-label="What a scrap said" className="mt-4">
      <h3 className="text-20">What a scrap said</h3>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <div className="w-64">
          <Choice
            id="scrap-fabric"
            label="Fabric"
            value={fabricId}
            onChange={setFabric}
            options={fabrics}
            error={problemAt('fabricId')}
          />
        </div>
        <div className="w-64">
          <Choice
            id="scrap-tool"
            label="Tool"
            value={marker}
            onChange={setMarker}
            options={MARKERS.rows.map((m) => ({ value: m.id, label: m.label }))}
            error={problemAt('marker')}
          />
        </div>
        {MARK_OUTCOMES.map((outcome) => (
          <Button
            key={outcome}
            disabled={pending}
            onClick={() => !pending && send({ fabricId, marker, outcome })}
          >
            {OUTCOME_LABEL[outcome]}
          </Button>
        ))}
      </div>
      <Problems problems={problems} />
    </section>
  );
}
