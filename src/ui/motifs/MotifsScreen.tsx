'use client';
import { useMemo, useState } from 'react';
import { doors } from '@/actions/doors';
import { layoutOf } from '@/core/audition/way';
import { ROLE_LABEL, type Role, ROLES } from '@/core/motifs/motif-table';
import type { ProposalAnswer } from '@/core/motifs/motifs';
import { LEVELS, type Level, type MotifsRequest } from '@/core/motifs/request';
import { techniques } from '@/core/tables/techniques';
import { rulerText } from '@/core/units/length-text';
import type { Zone } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { Field, TextField } from '@/ui/kit/Field';
import { numberOf } from '@/ui/kit/number-of';
import { Problems } from '@/ui/kit/Problems';
import { Taps } from '@/ui/kit/Taps';
import { useActionForm } from '@/ui/kit/use-action-form';
import { SEEN_PX } from '@/ui/quilt-map/hatch';
import { mapScale, QuiltMap } from '@/ui/quilt-map/QuiltMap';
import type { MotifsTold } from '@/workers/motifs.worker';
import { type DrawnPattern, type Hold, Picks } from './Picks';
import { useMotifs } from './use-motifs';
import { useQuiltSo } from './use-quilt-so';
import { useQuiltZones } from './use-quilt-zones';

const KIND_LABEL: Readonly<Record<string, string>> = {
  'few-motifs': 'Few motifs',
  rich: 'Richer',
  'edge-to-edge': 'Edge to edge',
};
/** A map of a proposal, px. */
const MAP = { width: 270, maxHeight: 270 } as const;
const hours = (minutes: number) =>
  minutes < 60 ? `${Math.round(minutes)} min` : `${(minutes / 60).toFixed(1)} h`;
const HANDS = LEVELS.map((value) => ({ value, label: value }));

/** What is asked beside the quilt itself: hours, theme, the hand, and what is held. */
function useAsked(base: MotifsRequest) {
  const [given, setGiven] = useState('');
  const [themes, setThemes] = useState('');
  const [usual, setUsual] = useState<Level>(base.hand?.usual ?? 'steady');
  const [holds, setHolds] = useState<Readonly<Record<string, Hold>>>({});
  const limit = numberOf(given);
  const request = useMemo(
    (): MotifsRequest => ({
      ...base,
      quilt: {
        ...base.quilt,
        hours: typeof limit === 'number' && limit > 0 && limit <= 1000 ? limit : undefined,
        themes: themes
          .split(/[,;\s]+/u)
          .filter(Boolean)
          .slice(0, 10),
      },
      hand: { ...base.hand, usual },
      zones: base.zones.map((z) => ({ ...z, hold: holds[z.id] })),
      proposals: 3,
    }),
    [base, limit, themes, usual, holds],
  );
  const hold = (zoneId: string, h: Hold | null) => {
    const { [zoneId]: _, ...rest } = holds;
    setHolds(h ? { ...rest, [zoneId]: h } : rest);
  };
  return { request, given, setGiven, themes, setThemes, usual, setUsual, holds, hold };
}

/** Whole proposals side by side on the map, and for the zone picked what would suit it; hold a zone and the rest adapts. */
export function MotifsScreen({
  quilt,
  zones,
  zoneId,
  base,
  patterns = [],
}: {
  quilt: { id: string; widthIn: number; lengthIn: number };
  zones: Zone[];
  zoneId: string;
  base: MotifsRequest;
  patterns?: readonly DrawnPattern[];
}) {
  const asked = useAsked(base);
  const { answer, problem } = useMotifs({ request: asked.request, zoneId, patterns });
  const apply = useQuiltZones(
    quilt.id,
    zones,
    'The zones are quilted so from now on. Match their set-ups next.',
  );
  return (
    <>
      <AskedFields {...asked} />
      {answer?.cautions.map((c) => (
        <p key={c.code + c.text} className="mt-1 font-medium text-weld-text">
          {c.text}
        </p>
      ))}
      <Problems problems={apply.problems} />
      {problem && (
        <p role="alert" className="mt-2 font-medium text-madder">
          {problem}
        </p>
      )}
      <div className="mt-3 grid min-h-[320px] gap-4 md:grid-cols-2 xl:grid-cols-3" aria-live="polite">
        {answer?.proposals.map((p) => (
          <Proposal
            key={p.kind}
            proposal={p}
            quilt={quilt}
            zones={zones}
            busy={apply.pending}
            use={() => apply.send(p.zones)}
          />
        ))}
      </div>
      <ZoneSection
        quiltId={quilt.id}
        zone={zones.find((z) => z.id === zoneId)!}
        role={base.zones.find((z) => z.id === zoneId)!.role}
        answer={answer}
        patterns={patterns}
        held={asked.holds[zoneId] ?? null}
        hold={(h) => asked.hold(zoneId, h)}
        use={(pick) => apply.send([{ id: zoneId, ...pick }])}
        busy={apply.pending}
      />
    </>
  );
}

/** What is asked with it, as fields. */
function AskedFields({
  request,
  given,
  setGiven,
  themes,
  setThemes,
  usual,
  setUsual,
}: Omit<ReturnType<typeof useAsked>, 'holds' | 'hold'>) {
  return (
    <div className="mt-2 flex flex-wrap items-end gap-x-5 gap-y-2">
      <h2 className="flex-1 text-24">What to quilt where</h2>
      <div className="w-[120px]">
        <TextField
          id="motif-hours"
          label="Hours agreed"
          inputMode="decimal"
          value={given}
          onChange={(e) => setGiven(e.target.value)}
          error={given !== '' && request.quilt.hours === undefined ? 'Give hours.' : undefined}
        />
      </div>
      <div className="w-[190px]">
        <TextField
          id="motif-themes"
          label="Theme"
          placeholder="sea, calm, leaves …"
          value={themes}
          onChange={(e) => setThemes(e.target.value)}
        />
      </div>
      <Taps label="Hand" value={usual} onChange={(v) => setUsual(v as Level)} options={HANDS} />
    </div>
  );
}

/** How a zone is quilted now: by its technique, or by the pattern that is laid in it. */
function nowWords(zone: Zone, patterns: readonly DrawnPattern[]): string {
  const laid = patterns.find((p) => p.id === zone.pattern?.patternId);
  if (laid) return `${laid.name}, repeats of ${rulerText(zone.pattern!.widthIn)}`;
  const { label, density } = techniques.get(zone.technique);
  return density.kind === 'spacing' ? `${label}, ${rulerText(zone.spacingIn)} spacing` : label;
}

/** One zone: what it is, how it is quilted now, and what would suit it. */
function ZoneSection({
  quiltId,
  zone,
  role,
  answer,
  patterns,
  busy,
  ...picks
}: {
  quiltId: string;
  zone: Zone;
  role: Role;
  answer: MotifsTold | null;
} & Omit<React.ComponentProps<typeof Picks>, 'answer' | 'patterned' | 'shape' | 'lay'>) {
  const own = answer?.zones.find((z) => z.id === zone.id) ?? null;
  const said = useActionForm(doors.setZoneRole, () => {});
  const laying = useQuiltSo(quiltId, zone);
  return (
    <section aria-label={`Zone ${zone.letter}, ${zone.name}`} className="mt-5 border-t-2 border-ink pt-2">
      <div className="flex flex-wrap items-end gap-4">
        <h3 className="flex-1 text-20">
          Zone {zone.letter}, {zone.name}
          <span className="ml-3 text-15 font-normal text-ink2">now {nowWords(zone, patterns)}</span>
        </h3>
        <div className="w-[190px]">
          <Field id="zone-role" label="It is">
            <select
              id="zone-role"
              value={role}
              onChange={(e) => said.send({ zoneId: zone.id, role: e.target.value })}
              className="min-h-11 w-full rounded border border-rule bg-cloth px-3 text-16"
            >
              {ROLES.map((r) => (
                <option key={r} value={r}>
                  {ROLE_LABEL[r]}
                </option>
              ))}
            </select>
          </Field>
        </div>
      </div>
      <Problems problems={[...said.problems, ...laying.problems]} />
      {own && answer && (
        <Picks
          {...picks}
          shape={zone.geometry}
          answer={own}
          patterned={answer.patterned}
          patterns={patterns}
          lay={(p) => laying.withPattern(p.patternId, layoutOf({ spacingIn: p.widthIn }))}
          busy={busy || laying.pending}
        />
      )}
    </section>
  );
}

function Proposal({
  proposal: p,
  quilt,
  zones,
  busy,
  use,
}: {
  proposal: ProposalAnswer;
  quilt: { widthIn: number; lengthIn: number };
  zones: Zone[];
  busy: boolean;
  use: () => void;
}) {
  const scale = mapScale({ ...quilt, ...MAP }, 0);
  const laid = zones.map((z) => {
    const own = p.zones.find((x) => x.id === z.id);
    // Finer than the picture can show is drawn as fine as it can: the list says the true spacing.
    return own
      ? {
          ...z,
          technique: own.technique,
          spacingIn: Math.max(own.spacingIn ?? z.spacingIn, (1.2 * SEEN_PX) / scale),
        }
      : z;
  });
  return (
    <article aria-label={KIND_LABEL[p.kind]} className="border border-rule p-3">
      <div className="flex items-baseline justify-between gap-3">
        <h3 className="text-[17px] font-semibold">{KIND_LABEL[p.kind]}</h3>
        <b className={p.withinHours ? 'font-semibold' : 'font-semibold text-madder'}>
          about {hours(p.minutes)}
        </b>
      </div>
      <div className="mt-1 flex justify-center">
        <QuiltMap
          idPrefix={`proposal-${p.kind}`}
          widthIn={quilt.widthIn}
          lengthIn={quilt.lengthIn}
          zones={laid}
          {...MAP}
          passes={null}
        />
      </div>
      <ul className="mt-1">
        {p.zones.map((z) => {
          const zone = zones.find((x) => x.id === z.id)!;
          return (
            <li key={z.id} className="flex gap-2">
              <b className="w-5 font-semibold">{zone.letter}</b>
              <span className="flex-1">
                {techniques.get(z.technique).label}
                {z.spacingIn !== null && <span className="text-ink2">, {rulerText(z.spacingIn)}</span>}
              </span>
              <span className="text-ink2">{z.minutes >= 1 ? hours(z.minutes) : ''}</span>
            </li>
          );
        })}
      </ul>
      <p className="mt-1 text-13 text-ink2">
        {p.motifs.length} {p.motifs.length === 1 ? 'motif' : 'motifs'}; densest over sparsest neighbour{' '}
        {p.evenness.toFixed(1)}. Loading, passes and taking off are in the time.
      </p>
      {p.cautions.map((c) => (
        <p key={c.code} className="font-medium text-madder">
          {c.text}
        </p>
      ))}
      <Button className="mt-2 w-full" disabled={busy} onClick={use}>
        Use this
      </Button>
    </article>
  );
}
