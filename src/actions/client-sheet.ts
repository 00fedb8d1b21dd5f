import { bleedingCare } from '@/core/cloth/bleeding';
import { format, parseISO } from 'date-fns';
import MailComposer from 'nodemailer/lib/mail-composer';
import { type CameOut, cameOut } from '@/core/hand-back/came-out';
import { type Washing, washing } from '@/core/hand-back/washing';
import { areaOf } from '@/core/geometry/polygon';
import { fibres } from '@/core/tables/fibres';
import { techniques } from '@/core/tables/techniques';
import { lengthText } from '@/core/units/length-text';
import type { HandBackOf } from '@/data/hand-back';
import { readPhotographBytes, readPhotographs } from '@/data/intakes';
import type { Sql } from '@/data/sql';
import type { Preferences } from '@/data/types';
import type { QuiltView } from './quilt-view';
import { coneName } from './zone-brief';

/** What a client takes home, part by part. */
export interface ClientSheet {
  title: string;
  parts: { heading: string; lines: string[] }[];
}

/** How a quilt is to be washed, from everything that is in it. */
export function washingOf({ quilt, zones, setups, shelf }: QuiltView): Washing {
  const used = [...setups.values()].flatMap((s) => [s.topId, s.bobbinId]);
  return washing({
    widthIn: quilt.widthIn,
    lengthIn: quilt.lengthIn,
    tops: zones.flatMap((z) => z.fabrics.map((f) => ({ kind: f.kind, share: f.share * areaOf(z.geometry) }))),
    backing: quilt.backingKind,
    batting: quilt.battingKind,
    fibres: [...new Set(shelf.filter((c) => used.includes(c.id)).map((c) => c.fibre))],
    features: [...new Set(zones.flatMap((z) => z.features))],
    prewashed: quilt.prewash,
    use: quilt.use,
  });
}

/** How a quilt came out, once it is measured, against what it measured at the counter. */
export function cameOutOf({ quilt }: QuiltView, { widthsIn, lengthsIn }: HandBackOf): CameOut | null {
  const then = {
    widthsIn: quilt.widthsIn ?? [quilt.widthIn],
    lengthsIn: quilt.lengthsIn ?? [quilt.lengthIn],
  };
  return widthsIn && lengthsIn ? cameOut({ widthsIn, lengthsIn }, then) : null;
}

/** Batting, backing, and each zone's quilting with its threads. */
function whatIsInIt({ quilt, zones, setups, shelf }: QuiltView): string[] {
  const cone = (id: string) => shelf.find((c) => c.id === id);
  return [
    `Batting: ${quilt.batting}. Backing: ${quilt.backing}.`,
    ...zones.flatMap((z) => {
      const s = setups.get(z.id);
      const [top, bobbin] = [s && cone(s.topId), s && cone(s.bobbinId)];
      if (!s || !top) return [];
      const below = bobbin && bobbin.id !== top.id ? `, below ${coneName(bobbin)}` : '';
      return [
        `${z.name}: ${techniques.get(z.technique).label.toLowerCase()} in ${coneName(top)} (${fibres.get(top.fibre).label})${below}.`,
      ];
    }),
  ];
}

/** Its size, how much quilting drew it in, and what was left as it is, agreed. */
function howItCameOut(view: QuiltView, hand: HandBackOf, units: Preferences['units']): string[] {
  const { quilt } = view;
  const size = (w: number, l: number) => `${lengthText(w, units)} by ${lengthText(l, units)}`;
  const out = cameOutOf(view, hand);
  const drewIn =
    out && out.drewInWidthPct !== null && out.drewInLengthPct !== null
      ? `; quilting drew it in by ${Math.max(0, out.drewInWidthPct).toFixed(1)} % across and ${Math.max(0, out.drewInLengthPct).toFixed(1)} % down`
      : '';
  return [
    out
      ? `It measures ${size(out.widthIn, out.lengthIn)}${drewIn}.`
      : `The top measured ${size(quilt.widthIn, quilt.lengthIn)}.`,
    ...view.faults
      .filter((f) => f.status === 'left' && f.word)
      .map((f) => `Left as it is, agreed: ${f.word}`),
  ];
}

/** The client’s sheet: what was used, how it came out, how to keep it. */
export function clientSheet(
  view: QuiltView,
  hand: HandBackOf,
  { name, units }: Pick<Preferences, 'name' | 'units'>,
): ClientSheet {
  const { quilt } = view;
  const wash = washingOf(view);
  return {
    title: `${quilt.name}, for ${quilt.client}`,
    parts: [
      {
        heading: 'What is in it',
        lines: whatIsInIt(view),
      },
      {
        heading: 'How it came out',
        lines: howItCameOut(view, hand, units),
      },
      {
        heading: 'Washing, drying, ironing',
        lines: [
          ...bleedingCare(quilt.bleedGrade).wash,
          ...wash.lines,
          ...(hand.washedAt ? ['It has been washed once here.'] : []),
        ],
      },
      {
        heading: 'To mind',
        lines: [
          ...wash.cautions.map((c) => c.text),
          'What the maker of fabric, batting or thread says on the label goes before this sheet.',
        ],
      },
      {
        heading: name || 'The studio',
        lines: [
          quilt.handedBackOn
            ? `Handed back ${format(parseISO(quilt.handedBackOn), 'd MMMM yyyy')}.`
            : 'Not handed back yet.',
        ],
      },
    ],
  };
}

/** The sheet as a letter that any mail program opens, not sent yet, with the photographs taken on the way home. */
export async function clientLetter(
  sql: Sql,
  quiltId: string,
  sheet: ClientSheet,
  studio: string,
): Promise<Buffer> {
  const taken = (await readPhotographs(sql, { quiltId })).filter((p) => p.moment === 'hand-back').slice(-4);
  const pictures = await Promise.all(taken.map((p) => readPhotographBytes(sql, p.id)));
  const text = sheet.parts.map((p) => [p.heading, ...p.lines.map((l) => `  ${l}`)].join('\n')).join('\n\n');
  const letter = new MailComposer({
    from: { name: studio || 'The studio', address: '' },
    subject: sheet.title,
    text: `${text}\n`,
    headers: { 'X-Unsent': '1' },
    attachments: pictures.flatMap((p, i) =>
      p ? [{ filename: `quilt-${i + 1}.jpg`, content: p.bytes, contentType: p.mime }] : [],
    ),
  });
  return letter.compile().build();
}
