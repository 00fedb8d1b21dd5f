'use client';
import { useRouter } from 'next/navigation';
import { useCallback, useState } from 'react';
import { doors } from '@/actions/doors';
import { busynessOf } from '@/core/colour/busyness';
import { BUSY } from '@/core/fields/lists';
import { Button } from '@/ui/kit/Button';
import { PhotoButton } from '@/ui/kit/PhotoButton';
import { Problems } from '@/ui/kit/Problems';
import { Taps } from '@/ui/kit/Taps';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';
import type { Listed } from '@/ui/kit/use-rest';
import { LaidAcross } from './LaidAcross';
import type { Spot } from './Photo';
import { PhotoColours } from './PhotoColours';
import { RankTable } from './RankTable';
import {
  type AskedColours,
  type ColourZone,
  type RankedShelf,
  useAskedColours,
  usePhotograph,
  useRanked,
} from './use-colours';

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
          <LaidAcross
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

function ShelfInOrder({
  asked: { cloths, aim, setAim },
  shelf: { byId, ranked, laid, lay },
}: {
  asked: AskedColours;
  shelf: RankedShelf;
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
