import type { Settings } from '@/core/log/entry';
import { standingSettings, type ZoneSettings } from '@/core/log/fold';
import type { TensionSchool } from '@/core/fields/lists';
import { placeOn, type Scales } from '@/core/machine/scales';
import { tensionSaid, type TensionSaid } from '@/core/tension/said';
import { MODE_LABEL } from '@/core/stitch/machine';
import { EYES, needleName } from '@/core/tables/needles';
import { FOOT_LABEL } from '@/core/tables/techniques';
import { gramsText } from '@/core/units/force';
import type { ShownStep, ShownThread, ShownZone } from './stand-facts';

/** What is set now for a zone: its card, and what was set otherwise at the machine since. */
export interface Set {
  zone: ShownZone;
  own: Settings;
  foot: ShownZone['foot'];
  spi: number;
  handInPerS: number;
  topGf: number;
  bobbinGf: number;
  topId: string;
  bobbinId: string;
}

export function setOf(zone: ShownZone, settings: ReadonlyMap<string, ZoneSettings>): Set {
  const own = standingSettings(settings.get(zone.id), zone.chosenAt, zone.provenAt);
  const max = zone.maxInPerS;
  return {
    zone,
    own,
    foot: own.foot ?? zone.foot,
    spi: own.spi ?? zone.spi,
    // Never faster than the needle follows, whatever the card of old says.
    handInPerS: own.handInPerS ?? Math.min(zone.handInPerS, max),
    topGf: own.topGf ?? zone.topGf,
    bobbinGf: own.bobbinGf ?? zone.bobbinGf,
    topId: own.topId ?? zone.topId,
    bobbinId: own.bobbinId ?? zone.bobbinId,
  };
}

const trimmed = (n: number, digits = 1) => String(Number(n.toFixed(digits)));

const named = (threads: ReadonlyMap<string, ShownThread>, id: string) =>
  threads.get(id)?.name ?? 'a thread put away';

/** A fact of a zone's setting as it is read from the machine. */
export interface Fact {
  id: 'hand' | 'spi' | 'top' | 'bobbin' | 'needle' | 'foot';
  label: string;
  /** What is large. */
  big: string;
  beside: string;
  /** What the card says, where the machine is set otherwise. */
  card: string | null;
}

/** What stands large for a zone: speed, stitches, tensions, needle, foot. */
export function factsOf(
  s: Set,
  scales: Scales,
  needleIn: { nm: number; eye: string } | null,
  school: TensionSchool = 'both',
): Fact[] {
  const { zone, own } = s;
  const said = (kind: 'top-dial' | 'bobbin-turns', gf: number) =>
    tensionSaid(school, kind, gf, placeOn(scales, kind, gf));
  const [top, bobbin] = [said('top-dial', s.topGf), said('bobbin-turns', s.bobbinGf)];
  const labelled = (label: string, { unit }: TensionSaid) => (unit ? `${label}, ${unit}` : label);
  const otherwise = <K extends keyof Settings>(k: K, card: string) => (own[k] === undefined ? null : card);
  const asked = needleName(zone.needleNm, zone.needleEye);
  return [
    {
      id: 'hand',
      label: 'Sewing speed, in/s',
      big: s.handInPerS.toFixed(1),
      beside:
        zone.maxInPerS > s.handInPerS + 0.05 ? `machine can follow up to ${zone.maxInPerS.toFixed(1)}` : '',
      card: otherwise('handInPerS', zone.handInPerS.toFixed(1)),
    },
    {
      id: 'spi',
      label: 'Stitches per inch',
      big: trimmed(s.spi),
      beside: MODE_LABEL[zone.mode],
      card: otherwise('spi', trimmed(zone.spi)),
    },
    {
      id: 'top',
      label: labelled('Top tension', top),
      big: top.big,
      beside: [top.beside, zone.provenAt === null && own.topGf === undefined ? 'not tested' : null]
        .filter(Boolean)
        .join(', '),
      card: otherwise('topGf', said('top-dial', zone.topGf).big),
    },
    {
      id: 'bobbin',
      label: labelled('Bobbin tension', bobbin),
      big: bobbin.big,
      beside: bobbin.beside,
      card: otherwise('bobbinGf', said('bobbin-turns', zone.bobbinGf).big),
    },
    {
      id: 'needle',
      label: 'Needle',
      big: `Nm ${zone.needleNm}`,
      beside:
        needleIn && (needleIn.nm !== zone.needleNm || needleIn.eye !== zone.needleEye)
          ? `in the machine: Nm ${needleIn.nm}${needleIn.eye === EYES[1] ? ', large eye' : ''}. Change it`
          : asked.replace(`Nm ${zone.needleNm} · `, ''),
      card: null,
    },
    {
      id: 'foot',
      label: 'Foot',
      big: FOOT_LABEL[s.foot],
      beside:
        s.foot !== zone.cardFoot && own.foot === undefined
          ? `serves here; the card says ${FOOT_LABEL[zone.cardFoot]}`
          : '',
      card: otherwise('foot', FOOT_LABEL[zone.cardFoot]),
    },
  ];
}

/** Letters of a step's zones that share a fact; nothing where the step has only one. */
export function sameFor(
  step: ShownStep,
  facts: ReadonlyMap<string, readonly Fact[]>,
  zone: string,
  id: Fact['id'],
): string[] {
  const value = (z: string) => {
    const f = facts.get(z)?.find((x) => x.id === id);
    return `${f?.big} ${id === 'spi' ? f?.beside : ''}`;
  };
  if (step.zones.length < 2) return [];
  return step.zones.filter((z) => value(z.id) === value(zone)).map((z) => z.letter);
}

/** What to change first on the way from one zone or step to another: only what differs. */
export function changeWords(from: Set, to: Set, threads: ReadonlyMap<string, ShownThread>): string[] {
  const parts = [
    to.topId !== from.topId && `top thread ${named(threads, to.topId)}`,
    to.bobbinId !== from.bobbinId && `bobbin ${named(threads, to.bobbinId)}`,
    to.zone.needleNm !== from.zone.needleNm && `needle ${needleName(to.zone.needleNm, to.zone.needleEye)}`,
    to.foot !== from.foot && `${FOOT_LABEL[to.foot]} on`,
    gramsText(to.topGf) !== gramsText(from.topGf) &&
      `top tension ${gramsText(from.topGf)} → ${gramsText(to.topGf)} g`,
    gramsText(to.bobbinGf) !== gramsText(from.bobbinGf) &&
      `bobbin tension ${gramsText(from.bobbinGf)} → ${gramsText(to.bobbinGf)} g`,
    to.zone.mode !== from.zone.mode && MODE_LABEL[to.zone.mode],
    to.spi !== from.spi && `${trimmed(from.spi)} → ${trimmed(to.spi)} spi`,
    Math.abs(to.handInPerS - from.handInPerS) >= 0.05 &&
      `sewing speed ${from.handInPerS.toFixed(1)} → ${to.handInPerS.toFixed(1)} in/s`,
  ].filter((p) => p !== false);
  return parts;
}
