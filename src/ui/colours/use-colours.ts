'use client';
import type { VisibilityWish } from '@/core/fields/lists';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { rankColours } from '@/core/colour/rank';
import { numberOf } from '@/ui/kit/number-of';
import { unpack } from '@/ui/kit/pack';
import { unanswered } from '@/ui/kit/use-action-form';
import { isWhole, type Listed, useRest } from '@/ui/kit/use-rest';
import type { ReadPhoto } from '@/workers/read-photo';
import { readInWorker } from './photo-reader';
import { type ColourCone, MOST_LAID } from './RankTable';

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

/** What is asked: the colours as they are now, how they are aimed at, how much the photograph shows. */
export function useAskedColours(zone: ColourZone, acrossIn: number) {
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
export type AskedColours = ReturnType<typeof useAskedColours>;

/** The shelf ranked against the colours, and the threads laid across them. */
export function useRanked(list: Listed, { cloths, aim }: AskedColours) {
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
export type RankedShelf = ReturnType<typeof useRanked>;

/** One cloth takes this share of the zone; the others share what is left as they did before. */
function withShare(cloths: ColourZone['cloths'], at: number, share: number): ColourZone['cloths'] {
  const others = cloths.reduce((sum, c, i) => (i === at ? sum : sum + c.share), 0) || 1;
  return cloths.map((c, i) => ({ ...c, share: i === at ? share : (c.share / others) * (1 - share) }));
}

/** The photograph being looked at, read in a worker; a new one takes the place of the old. */
export function usePhotograph() {
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

export type Shown = NonNullable<ReturnType<typeof usePhotograph>['photo']>;
