'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import { layoutOf, type Way } from '@/core/audition/way';
import type { Auditioned } from '@/core/audition/weighed';
import type { XY } from '@/core/geometry/polygon';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { Taps } from '@/ui/kit/Taps';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';
import { useQuiltSo } from '@/ui/motifs/use-quilt-so';
import type { AuditionFacts, ZoneBeside } from './audition-facts';
import { coarsestIn, type RoundIt } from './AuditionView';
import { CornersEditor } from './CornersEditor';
import { SidePanel } from './SidePanel';
import { useAllDrawn } from './use-all-drawn';

const ROUND = [
  { value: 'zone', label: 'this zone' },
  { value: 'quilt', label: 'the whole quilt' },
] as const;
const FROM = [
  ['0.3', 'from 30 cm'],
  ['1', 'from 1 m'],
  ['3', 'from 3 m'],
] as const;

/** Two ways to quilt a zone side by side, over the client's own photograph, each with its hours, thread and price. */
export function AuditionScreen(facts: AuditionFacts) {
  const { quilt, zone, photographs, thread } = facts;
  const [sides, setSides] = useState(facts.sides);
  const [from, setFrom] = useState('0.3');
  const [around, setAround] = useState('zone');
  const round = useRound(facts, around === 'quilt');
  const [photo, setPhoto] = useState(photographs.find((p) => p.corners)?.id ?? '');
  const [placing, setPlacing] = useState(false);
  const picked = photographs.find((p) => p.id === photo);
  const laid = picked?.corners ? { id: picked.id, corners: picked.corners as readonly XY[] } : null;
  const quilting = useQuiltSo(quilt.id, zone);
  const quiltSo = (side: Way, told: Auditioned, radiusIn: number | null) =>
    side.patternId
      ? quilting.withPattern(side.patternId, layoutOf(side))
      : quilting.withTechnique({
          technique: side.technique,
          spacingIn: told.spacingIn,
          smallestRadiusIn: radiusIn === null ? null : Math.max(0.01, Math.round(radiusIn * 100) / 100),
        });
  const keep = useKeepSides(quilt.id, zone.id);
  const put = (i: 0 | 1, side: Way) => setSides((now) => (i === 0 ? [side, now[1]] : [now[0], side]));
  return (
    <div className="mt-3">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2 border-b pb-2">
        <h2 className="text-20">
          Two ways for {zone.letter}, {zone.name}
        </h2>
        <Taps label="Shown" value={around} onChange={setAround} options={ROUND} />
        <Taps
          label="Seen"
          value={from}
          onChange={setFrom}
          options={FROM.map(([value, label]) => ({ value, label }))}
        />
        {photographs.length > 0 && (
          <label className="flex items-center gap-2">
            <span className="text-13 font-medium text-ink2">Over</span>
            <select
              className="min-h-11 rounded border border-rule bg-cloth px-2"
              value={photo}
              onChange={(e) => {
                setPhoto(e.target.value);
                setPlacing(!!e.target.value && !photographs.find((p) => p.id === e.target.value)?.corners);
              }}
            >
              <option value="">the fabric’s colour</option>
              {photographs.map((p, i) => (
                <option key={p.id} value={p.id}>
                  photograph {i + 1}
                  {p.corners ? '' : ', corners not marked'}
                </option>
              ))}
            </select>
          </label>
        )}
        {picked && !placing && (
          <Button look="quiet" onClick={() => setPlacing(true)}>
            Mark its corners
          </Button>
        )}
        <span className="flex-1 text-right text-13 text-ink2">
          in {thread.name}, {thread.mm.toFixed(2)} mm thick
        </span>
      </div>
      {placing && picked && (
        <CornersEditor
          key={picked.id}
          quiltId={quilt.id}
          photograph={picked}
          onDone={() => setPlacing(false)}
        />
      )}
      <div className="mt-3 grid gap-x-8 gap-y-6 xl:grid-cols-2">
        {([0, 1] as const).map((i) => (
          <SidePanel
            key={i}
            facts={facts}
            name={i === 0 ? 'A' : 'B'}
            side={sides[i]}
            onSide={(s) => put(i, s)}
            photograph={laid}
            distanceM={Number(from)}
            round={round}
            pending={quilting.pending}
            onQuilt={quiltSo}
          />
        ))}
      </div>
      <Problems problems={[...quilting.problems, ...keep.problems]} />
      <div className="mt-4 flex flex-wrap items-center gap-3 border-t pt-3">
        <Button disabled={keep.pending} onClick={() => keep.send(sides)}>
          {facts.kept ? 'Show these two to the client instead' : 'Show both to the client'}
        </Button>
        {facts.kept && (
          <Button look="quiet" disabled={keep.pending} onClick={() => keep.send(null)}>
            Show neither
          </Button>
        )}
        <p className="text-ink2">
          {facts.kept
            ? 'Two ways for this zone go with the letter that asks for the client’s yes.'
            : 'They go with the letter that asks for the client’s yes, as pictures.'}
        </p>
      </div>
    </div>
  );
}

/** The rest of the quilt as it is quilted now, drawn when it is looked at. */
function useRound({ quilt, beside, patterns }: AuditionFacts, looked: boolean): RoundIt | null {
  const sewn = looked ? beside.filter((z) => z.way) : [];
  const drawn = useAllDrawn(
    sewn.map(({ geometry, way }) => ({
      ...way!,
      shape: geometry,
      unit: patterns.find((p) => p.id === way!.patternId)?.unit,
    })),
    coarsestIn(quilt),
  );
  const at = (z: ZoneBeside) => drawn[sewn.indexOf(z)] ?? null;
  return looked ? { beside, drawn: beside.map(at) } : null;
}

/** Keeps two ways for the client to choose from, or lets go of them. */
function useKeepSides(quiltId: string, zoneId: string) {
  const router = useRouter();
  const { send, pending, problems } = useActionForm(doors.keepAudition, () => {
    toast('Kept for the letter.');
    router.refresh();
  });
  return {
    pending,
    problems,
    send: (sides: readonly Way[] | null) => send({ quiltId, zoneId, sides }),
  };
}
