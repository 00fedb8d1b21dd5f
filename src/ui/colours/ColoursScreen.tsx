'use client';
import { BUSY, type VisibilityWish } from '@/core/fields/lists';
import { useRouter } from 'next/navigation';
import { useForm, useWatch } from 'react-hook-form';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import { busynessOf } from '@/core/colour/busyness';
import { rankColours } from '@/core/colour/rank';
import { Marks, Labels } from '@/ui/draw/Marks';
import { isWhole, type Listed, useRest } from '@/ui/kit/use-rest';
import { unpack } from '@/ui/kit/pack';
import { Button } from '@/ui/kit/Button';
import { Taps } from '@/ui/kit/Taps';
import { TextField } from '@/ui/kit/Field';
import { numberOf } from '@/ui/kit/number-of';
import { PhotoButton } from '@/ui/kit/PhotoButton';
import { Problems } from '@/ui/kit/Problems';
import { unanswered, useActionForm } from '@/ui/kit/use-action-form';
import type { ReadPhoto } from '@/workers/read-photo';
import { laidThreads, LOUPE, pictureUnderLoupe } from './loupe';
import { Photo, type Spot } from './Photo';
import { readInWorker } from './photo-reader';
import { type ColourCone, MOST_LAID, RankTable } from './RankTable';

export interface ColourZone {
  id: string;
  letter: string;
  name: string;
  version: number;
  visibility: VisibilityWish;
  cloths: { name: string; hex: string; share: number; busyness: number | null }[];
  stitchMm: number;
}

/** What is asked here; where one looks is no answer. */
interface Asked {
  cloths: ColourZone['cloths'];
  aim: 'sink' | 'show';
  /** As it was typed. */
  across: string;
}

interface ColoursProps {
  quiltId: string;
  zone: ColourZone;
  /** The shelf, ColourCone[]. */
  list: Listed;
  /** Photographs kept with the quilt. */
  photographs: readonly string[];
  /** How much of the cloth a photograph shows unless it is said otherwise: the quilt's own width. */
  acrossIn: number;
}

/** What is asked: the colours as they are now, how they are aimed at, how much the photograph shows. */
function useAskedColours(zone: ColourZone, acrossIn: number) {
  const form = useForm<Asked>({
    defaultValues: {
      cloths: zone.cloths,
      aim: zone.visibility === 'show' ? 'show' : 'sink',
      across: String(acrossIn),
    },
  });
  const { cloths, aim, across } = useWatch({ control: form.control }) as Asked;
  const [here, setHere] = useState(0);
  const setCloths = (to: (now: Asked['cloths']) => Asked['cloths']) =>
    form.setValue('cloths', to(form.getValues('cloths')));
  const paint = (hex: string, share?: number) =>
    setCloths((now) => {
      const dyed = now.map((c, i) => (i === here ? { ...c, hex } : c));
      return share === undefined ? dyed : withShare(dyed, here, share);
    });
  const busy = (busyness: number) =>
    setCloths((now) => now.map((c, i) => (i === here ? { ...c, busyness } : c)));
  const changed = cloths.some(
    (c, i) =>
      c.hex !== zone.cloths[i]!.hex ||
      c.share !== zone.cloths[i]!.share ||
      c.busyness !== zone.cloths[i]!.busyness,
  );
  const acrossNow = numberOf(across);
  const shows = typeof acrossNow === 'number' && acrossNow >= 0.5 && acrossNow <= 200 ? acrossNow : null;
  return {
    cloths,
    aim,
    setAim: (to: Asked['aim']) => form.setValue('aim', to),
    across,
    setAcross: (to: string) => form.setValue('across', to),
    shows,
    here,
    setHere,
    paint,
    busy,
    changed,
  };
}
type AskedColours = ReturnType<typeof useAskedColours>;

/** The shelf ranked against the colours, and the threads laid across them. */
function useRanked(list: Listed, { cloths, aim }: AskedColours) {
  const packed = useRest(list);
  const cones = useMemo(() => unpack<ColourCone[]>(packed), [packed]);
  const byId = useMemo(() => new Map(cones.map((c) => [c.id, c])), [cones]);
  const ranked = useMemo(
    () =>
      rankColours({
        fabrics: cloths,
        threads: cones.map((c) => ({ id: c.id, hex: c.hex, diameterMm: c.mm })),
        aim,
      }),
    [cloths, cones, aim],
  );
  const [picked, setLaid] = useState<readonly string[] | null>(
    isWhole(list) ? ranked.slice(0, 2).map((r) => r.id) : null,
  );
  const laid = picked ?? ranked.slice(0, 2).map((r) => r.id);
  const lay = (id: string) =>
    setLaid(laid.includes(id) ? laid.filter((x) => x !== id) : [...laid, id].slice(0, MOST_LAID));
  return { byId, ranked, laid, lay };
}

/** The colours of a zone, from swatches or a photograph, and the shelf in order of how it sinks or shows on them. */
export function ColoursScreen({ quiltId, zone, list, photographs, acrossIn }: ColoursProps) {
  const asked = useAskedColours(zone, acrossIn);
  const { cloths, here } = asked;
  const shelf = useRanked(list, asked);
  const [spot, setSpot] = useState<Spot>({ x: 0.5, y: 0.5 });
  const { photo, url, problem, busy, read } = usePhotograph();
  const looks = photo ? String(busynessOf(photo.palette)) : null;
  return (
    <>
      <ColoursHead quiltId={quiltId} zone={zone} asked={asked} />
      <div className="mt-2 grid gap-x-6 gap-y-4 border-t-2 border-ink pt-3 xl:grid-cols-[520px_minmax(0,1fr)]">
        <div className="min-w-0">
          <Cloths cloths={cloths} here={here} onHere={asked.setHere} onColour={(hex) => asked.paint(hex)} />
          <div className="mt-2">
            <Taps
              label={cloths.length > 1 ? `How busy ${cloths[here]!.name} is` : 'How busy it is'}
              value={String(cloths[here]!.busyness ?? '')}
              onChange={(b) => asked.busy(Number(b))}
              options={BUSY.map((o) => ({ ...o, note: o.value === looks ? 'as photographed' : undefined }))}
            />
          </div>
          <Source photographs={photographs} busy={busy} onFile={read} />
          {problem && (
            <p role="alert" className="mt-1 font-medium text-madder">
              {problem}
            </p>
          )}
          {photo && url && (
            <PhotoColours key={url} photo={photo} url={url} spot={spot} setSpot={setSpot} asked={asked} />
          )}
          <Loupe
            zone={zone}
            asked={asked}
            shelf={shelf}
            picture={photo && url ? { photo, url, spot } : null}
          />
        </div>
        <ShelfInOrder asked={asked} shelf={shelf} />
      </div>
    </>
  );
}

function ColoursHead({ quiltId, zone, asked }: { quiltId: string; zone: ColourZone; asked: AskedColours }) {
  const router = useRouter();
  const done = useCallback(() => {
    toast('Colours kept. The zone is matched by them from now on.');
    router.refresh();
  }, [router]);
  const { send, pending, problems } = useActionForm(doors.recolour, done);
  return (
    <>
      <div className="mt-2.5 flex flex-wrap items-center gap-x-3.5 gap-y-1">
        <h2 className="text-24">{zone.name}</h2>
        <p className="min-w-0 flex-1 text-ink2">
          zone {zone.letter} · its colours, and the shelf against them
        </p>
        <Button
          look="act"
          disabled={!asked.changed || pending}
          onClick={() =>
            !pending &&
            send({
              quiltId,
              zoneId: zone.id,
              version: zone.version,
              colours: asked.cloths.map(({ hex, share, busyness }) => ({ hex, share, busyness })),
            })
          }
        >
          Keep these colours
        </Button>
      </div>
      <Problems problems={problems} />
    </>
  );
}

type Shown = NonNullable<ReturnType<typeof usePhotograph>['photo']>;

/** The photograph, its colour under the mark and its palette, each taken with a press. */
function PhotoColours({
  photo,
  url,
  spot,
  setSpot,
  asked: { cloths, paint },
}: {
  photo: Shown;
  url: string;
  spot: Spot;
  setSpot: (to: Spot) => void;
  asked: AskedColours;
}) {
  const [under, setUnder] = useState<string | null>(null);
  return (
    <div className="mt-2">
      <Photo
        photo={photo}
        url={url}
        spot={spot}
        onSpot={(s, hex) => {
          setSpot(s);
          setUnder(hex);
        }}
        onTake={() => under && paint(under)}
      />
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {under && (
          <button
            type="button"
            onClick={() => paint(under)}
            className="inline-flex min-h-11 items-center gap-2 rounded border border-rule px-2.5"
          >
            <i className="size-6 border" style={{ background: under }} aria-hidden />
            Take the colour under the mark
          </button>
        )}
        {photo.palette.map((c) => (
          <button
            key={c.hex}
            type="button"
            onClick={() => paint(c.hex, cloths.length > 1 ? c.share : undefined)}
            className="inline-flex min-h-11 items-center gap-1.5 rounded border border-rule px-2"
            aria-label={`Take ${c.hex}, ${Math.round(c.share * 100)} per cent of the photograph`}
          >
            <i className="size-6 border" style={{ background: c.hex }} aria-hidden />
            {Math.round(c.share * 100)} %
          </button>
        ))}
      </div>
    </div>
  );
}

/** Threads laid across the fabric at true thickness, on swatches or on the photograph. */
function Loupe({
  zone,
  asked: { cloths, across, setAcross, shows },
  shelf: { byId, laid },
  picture,
}: {
  zone: ColourZone;
  asked: AskedColours;
  shelf: ReturnType<typeof useRanked>;
  picture: { photo: Shown; url: string; spot: Spot } | null;
}) {
  const drawing = laidThreads(
    laid.flatMap((id) => byId.get(id) ?? []),
    zone.stitchMm,
  );
  return (
    <div className="mt-3">
      <h3 className="text-[17px]">Laid across, at true thickness</h3>
      <svg
        width={LOUPE.width}
        height={LOUPE.height}
        viewBox={`0 0 ${LOUPE.width} ${LOUPE.height}`}
        role="img"
        aria-label={`Threads laid across the fabric at true thickness: ${laid.map((id) => byId.get(id)?.name).join(', ') || 'none'}`}
        className="mt-1 max-w-full border"
      >
        {picture && shows ? (
          <image
            href={picture.url}
            {...pictureUnderLoupe(picture.photo, shows, picture.spot)}
            preserveAspectRatio="none"
          />
        ) : (
          <Swatches cloths={cloths} />
        )}
        <Marks marks={drawing.marks} />
        <g style={{ paintOrder: 'stroke', stroke: 'var(--cloth)', strokeWidth: 4 }}>
          <Labels labels={drawing.labels} />
        </g>
      </svg>
      {picture && (
        <div className="mt-1 max-w-[260px]">
          <TextField
            id="across"
            label="The photograph shows"
            hint="inches across"
            inputMode="decimal"
            value={across}
            onChange={(e) => setAcross(e.target.value)}
            error={shows === null ? 'Between 0.5 and 200 inches.' : undefined}
          />
        </div>
      )}
    </div>
  );
}

function ShelfInOrder({
  asked: { cloths, aim, setAim },
  shelf: { byId, ranked, laid, lay },
}: {
  asked: AskedColours;
  shelf: ReturnType<typeof useRanked>;
}) {
  return (
    <div className="min-w-0">
      <div className="flex flex-wrap items-center gap-x-4">
        <h3 className="flex-1 text-[17px]">The shelf, best first</h3>
        {(['sink', 'show'] as const).map((a) => (
          <label key={a} className="inline-flex min-h-11 items-center gap-2">
            <input
              type="radio"
              name="aim"
              checked={aim === a}
              onChange={() => setAim(a)}
              className="size-5 accent-(--indigo)"
            />
            to {a}
          </label>
        ))}
      </div>
      <RankTable
        ranked={ranked}
        cones={byId}
        cloths={cloths.map((c) => c.name)}
        aim={aim}
        laid={laid}
        onLay={lay}
      />
    </div>
  );
}

/** One cloth takes this share of the zone; the others share what is left as they did before. */
function withShare(cloths: ColourZone['cloths'], at: number, share: number): ColourZone['cloths'] {
  const others = cloths.reduce((sum, c, i) => (i === at ? sum : sum + c.share), 0) || 1;
  return cloths.map((c, i) => ({ ...c, share: i === at ? share : (c.share / others) * (1 - share) }));
}

/** The photograph being looked at, read in a worker; a new one takes the place of the old. */
function usePhotograph() {
  const [state, setState] = useState<{ photo: ReadPhoto; url: string } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const url = useRef<string | null>(null);
  useEffect(
    () => () => {
      if (url.current) URL.revokeObjectURL(url.current);
    },
    [],
  );
  const read = useCallback(async (file: Blob) => {
    setBusy(true);
    setProblem(null);
    const r = await readInWorker(file).catch((error: unknown) => {
      reportError(error);
      return { ok: false as const, message: unanswered(error).message };
    });
    setBusy(false);
    if (!r.ok) return setProblem(r.message);
    if (url.current) URL.revokeObjectURL(url.current);
    url.current = URL.createObjectURL(r.value.blob);
    setState({ photo: r.value, url: url.current });
  }, []);
  return { photo: state?.photo ?? null, url: state?.url ?? null, problem, busy, read };
}

/** The cloths of the zone; the one picked takes the next colour. */
function Cloths({
  cloths,
  here,
  onHere,
  onColour,
}: {
  cloths: ColourZone['cloths'];
  here: number;
  onHere: (i: number) => void;
  onColour: (hex: string) => void;
}) {
  return (
    <fieldset>
      <legend className="text-[17px] font-semibold">Fabrics</legend>
      <ul className="mt-1 border-t">
        {cloths.map((c, i) => (
          <li key={i} className={`flex items-center gap-2.5 border-b ${i === here ? 'bg-indigo-tint' : ''}`}>
            <label className="flex min-h-11 flex-1 items-center gap-2.5 pl-1.5">
              <input
                type="radio"
                name="cloth"
                checked={i === here}
                onChange={() => onHere(i)}
                className="size-5 accent-(--indigo)"
              />
              <i className="size-7 border border-ink" style={{ background: c.hex }} aria-hidden />
              <span>{c.name}</span>
              <span className="text-ink2">{Math.round(c.share * 100)} % of the zone</span>
            </label>
            {i === here && (
              <input
                type="color"
                aria-label={`Colour of ${c.name}, palette`}
                value={c.hex}
                onChange={(e) => onColour(e.target.value)}
                className="mr-1 size-11 shrink-0 rounded border border-rule bg-cloth p-1"
              />
            )}
          </li>
        ))}
      </ul>
    </fieldset>
  );
}

/** Where the photograph comes from: the quilt's own, or a file of this computer. */
function Source({
  photographs,
  busy,
  onFile,
}: {
  photographs: readonly string[];
  busy: boolean;
  onFile: (file: Blob) => void;
}) {
  return (
    <div className="mt-3 flex flex-wrap items-center gap-2.5">
      <PhotoButton name="Colours from a photograph" accept="image/jpeg,image/png,image/webp" onFile={onFile}>
        {busy ? 'Reading …' : 'Colours from a photograph'}
      </PhotoButton>
      {photographs.map((id, i) => (
        <button
          key={id}
          type="button"
          aria-label={`Photograph ${i + 1} of this quilt`}
          onClick={() => void fetch(`/photographs/${id}`).then(async (r) => onFile(await r.blob()))}
          className="border"
        >
          {/* eslint-disable-next-line @next/next/no-img-element -- a photograph from this app's own database */}
          <img src={`/photographs/${id}`} alt="" className="h-11" />
        </button>
      ))}
      <p className="w-full text-13 text-ink2">
        The photograph stays in this window; where it was taken is never kept.
      </p>
    </div>
  );
}

/** Without a photograph the cloths stand side by side, each as wide as its share. */
function Swatches({ cloths }: { cloths: ColourZone['cloths'] }) {
  const sum = cloths.reduce((s, c) => s + c.share, 0) || 1;
  const widths = cloths.map((c) => (c.share / sum) * LOUPE.width);
  return cloths.map((c, i) => (
    <rect
      key={i}
      x={widths.slice(0, i).reduce((s, w) => s + w, 0)}
      width={widths[i]}
      height={LOUPE.height}
      fill={c.hex}
    />
  ));
}
