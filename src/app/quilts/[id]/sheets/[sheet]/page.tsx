import { ask } from '@/actions/queries';
import { type Scales, scalesOf } from '@/core/machine/scales';
import { format, parseISO } from 'date-fns';
import { notFound } from 'next/navigation';
import { usualOf } from '@/actions/prepared';
import { LAYOUT_LABEL } from '@/core/fields/quilt';
import { conditionWords } from '@/core/tables/conditions';
import type { Prepared } from '@/data/types';
import { readPlan } from '@/actions/plan';
import type { ZoneSettings } from '@/core/log/fold';
import { goodUntil } from '@/actions/offer-words';
import type { StoredOffer } from '@/data/offers';
import { OfferPaper } from '@/ui/offer/OfferPaper';
import { inHand } from '@/core/backing/in-hand';
import { readPieces } from '@/core/backing/read-pieces';
import { coneName } from '@/actions/zone-brief';
import { watchFor, watchWords } from '@/core/watch/watch-for';
import type { ZoneMarking } from '@/actions/marking';
import { markedWords } from '@/core/marking/marking';
import { endsLine } from '@/core/stitch/ends';
import { lengthText } from '@/core/units/length-text';
import { DrawingSvg } from '@/ui/draw/Marks';
import { cardFacts } from '@/ui/print/card-facts';
import { settingCard } from '@/ui/print/setting-card';
import { Sheet } from '@/ui/print/Sheet';
import { routedZones } from '@/ui/plan/routed-zones';
import { mapScale, QuiltMap } from '@/ui/quilt-map/QuiltMap';
import { RouteLayer } from '@/ui/quilt-map/RouteLayer';
import { clientSheet } from '@/actions/client-sheet';
import type { HandBackOf } from '@/data/hand-back';
import type { TestRound } from '@/data/types';
import { facesAt } from '@/ui/test-strip/stitch-side';
import { StripCell } from '@/ui/test-strip/StripCell';
import { changeSince, VERDICT_LOOK, worstVerdict } from '@/ui/test-strip/words';
import { readQuiltPage } from '../../quilt-page';

export const metadata = { title: 'Sheet' };

type Loaded = {
  marking: ZoneMarking[];
  offers: StoredOffer[];
  rounds: TestRound[];
  hand: HandBackOf;
  prepared: Omit<Prepared, 'version'>;
} & Awaited<ReturnType<typeof readQuiltPage>> &
  Awaited<ReturnType<typeof readPlan>> & { scales: Scales; settings: ReadonlyMap<string, ZoneSettings> };

const SHEETS: Readonly<Record<string, { title: string; body: (x: Loaded) => React.ReactNode }>> = {
  loading: { title: 'Loading sheet', body: loading },
  order: { title: 'Order of work', body: order },
  cards: { title: 'Setting cards', body: cards },
  strip: { title: 'Test strip', body: strip },
  route: { title: 'Way round', body: wayRound },
  offer: { title: 'Offer', body: offer },
  client: { title: 'Client’s sheet', body: client },
};

export default async function SheetPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string; sheet: string }>;
  searchParams: Promise<{ zone?: string }>;
}) {
  const name = (await params).sheet;
  const sheet = SHEETS[name];
  if (!sheet) notFound();
  const page = await readQuiltPage({ params, searchParams });
  const [plan, measured, hand, settings, prepared, offers] = await Promise.all([
    ask.readPlan(page.view),
    ask.readScales(page.machine.id),
    ask.readHandBack(page.view.quilt.id),
    ask.readSettings(page.view.quilt.id),
    ask.readPrepared(page.view.quilt.id),
    ask.readOffers(page.view.quilt.id),
  ]);
  // What is marked asks for the calendar: only where it is shown.
  const marking =
    name === 'loading'
      ? (await ask.readMarking(page.view, plan.plan, plan.preferences, new Date())).zones
      : [];
  const setup = page.zone && page.view.setups.get(page.zone.id);
  const rounds = setup ? await ask.readRounds(setup.id) : [];
  const { quilt } = page.view;
  const loaded = {
    ...page,
    ...plan,
    scales: scalesOf(measured),
    rounds,
    marking,
    offers,
    hand,
    settings,
    prepared: prepared ?? usualOf(quilt, plan.preferences),
  };
  return (
    <Sheet title={`${sheet.title}: ${quilt.name}, ${quilt.client}`} back={`/quilts/${quilt.id}/sheets`}>
      {sheet.body(loaded)}
    </Sheet>
  );
}

/** The strip as paper to pin on the margin: each test with its number, tensions and verdict, one under the other. */
function strip({ view, zone, rounds }: Loaded) {
  const setup = zone && view.setups.get(zone.id);
  if (!zone || !setup || rounds.length === 0) return <p>No test was sewn in this zone yet.</p>;
  const hex = (id: string) => view.shelf.find((c) => c.id === id)?.hex ?? '#8a8a8a';
  const name = (id: string) => {
    const c = view.shelf.find((x) => x.id === id);
    return c ? coneName(c) : 'thread gone';
  };
  return (
    <>
      <p>
        Zone {zone.letter}, {zone.name}. Top {name(setup.topId)}, bobbin {name(setup.bobbinId)}, needle Nm{' '}
        {setup.needleNm}, {setup.spi} to the inch. Top above, back below; cut along the dashes and pin each
        beside its line.
      </p>
      <ol className="mt-3 max-w-[520px]">
        {rounds.map((r, i) => (
          <li key={r.id} className="break-inside-avoid border-t border-dashed py-2">
            <div className="flex items-baseline gap-4">
              <b className="text-20">{r.n}</b>
              <b>
                {Number(r.topGf.toFixed(1))} / {Number(r.bobbinGf.toFixed(1))} g
              </b>
              <span>{changeSince(rounds[i - 1], r)}</span>
            </div>
            <StripCell
              top={hex(setup.topId)}
              bobbin={hex(setup.bobbinId)}
              cloth="#ffffff"
              backing="#f2f2f2"
              faces={facesAt(worstVerdict(Object.values(r.verdicts)))}
            />
            <p>
              {VERDICT_LOOK[worstVerdict(Object.values(r.verdicts))]}
              {r.note && `. ${r.note}`}
            </p>
          </li>
        ))}
      </ol>
    </>
  );
}

/** The way round the lines of each zone, pass by pass. */
function wayRound({ view, plan }: Loaded) {
  const { quilt, zones } = view;
  const routed = routedZones(zones, plan);
  if (routed.length === 0) return <p>No zone of this quilt has lines to go round.</p>;
  const { passes } = plan;
  const map = {
    widthIn: quilt.widthIn,
    lengthIn: quilt.lengthIn,
    zones,
    width: 560,
    maxHeight: 560,
    bands: passes && { depthsIn: passes.depthsIn, turned: passes.turned },
  };
  return routed.map((z) => (
    <section key={z.id} className="mb-4 break-inside-avoid">
      <h2 className="text-20">
        {z.letter} {z.name}, {z.work}
      </h2>
      <p>
        {z.routes
          .map(
            (r) =>
              `pass ${r.pass}: ${r.starts} ${r.starts === 1 ? 'start' : 'starts'}, ${Math.round(r.sewnIn)} in`,
          )
          .join('; ')}
        . Ends: {z.endWay}.
      </p>
      <QuiltMap {...map} idPrefix={`way-${z.letter}`} chosenId={z.id}>
        {z.routes.map((r) => (
          <RouteLayer key={r.pass} paths={r.paths} unit={1 / mapScale(map, 20)} />
        ))}
      </QuiltMap>
    </section>
  ));
}

/** The offer that stands, on one page. */
function offer({ view, offers }: Loaded) {
  const standing = offers.find((o) => o.state === 'offered' || o.state === 'agreed');
  if (!standing) return <p>No offer stands for this quilt yet.</p>;
  const day = (iso: string) => format(parseISO(iso), 'd MMMM yyyy');
  return (
    <OfferPaper
      offer={standing.reckoned}
      currency={standing.currency}
      title={`Offer ${standing.n} for ${view.quilt.client}, ${day(standing.madeOn)}`}
      note={standing.note}
      until={standing.state === 'offered' ? day(goodUntil(standing)) : undefined}
    />
  );
}

/** What the client takes home. */
function client({ view, hand, preferences }: Loaded) {
  const sheet = clientSheet(view, hand, preferences);
  return sheet.parts.map((p) => (
    <section key={p.heading} className="mb-3 break-inside-avoid">
      <h2 className="text-20">{p.heading}</h2>
      <ul className="mt-1 space-y-1">
        {p.lines.map((l) => (
          <li key={l}>{l}</li>
        ))}
      </ul>
    </section>
  ));
}

function Rows({ rows }: { rows: readonly (readonly [string, string])[] }) {
  return (
    <dl>
      {rows.map(([k, v]) => (
        <div key={k} className="flex gap-4 border-b py-1">
          <dt className="w-36 shrink-0">{k}</dt>
          <dd className="font-semibold">{v}</dd>
        </div>
      ))}
    </dl>
  );
}

/** What is marked while the top still lies flat, and what as each pass comes up. */
const markedRows = (
  zones: Loaded['view']['zones'],
  marking: readonly ZoneMarking[],
): (readonly [string, string])[] => {
  const before = marking.filter((m) => m.picks[0]?.when === 'before-loading');
  const letter = (id: string) => zones.find((z) => z.id === id)?.letter ?? '';
  const later = marking.filter((m) => m.picks[0]?.when === 'at-machine');
  const named = (list: typeof before) =>
    list.map((m) => `${letter(m.zoneId)}: ${markedWords(m.marks)}, ${m.picks[0]!.marker.label}`).join('; ');
  return [
    ...(before.length > 0 ? [['Mark first', named(before)] as const] : []),
    ...(later.length > 0 ? [['Mark as it comes', named(later)] as const] : []),
  ];
};

function loading({ view, machine, plan, preferences, prepared, marking }: Loaded) {
  const { marginIn, testMarginIn, layout } = prepared;
  const { quilt, zones } = view;
  const size = (w: number, l: number) =>
    `${lengthText(w, preferences.units)} by ${lengthText(l, preferences.units)}`;
  const { passes } = plan;
  const watched = zones.map((z) => [z, watchWords(watchFor(z))] as const).filter(([, words]) => words !== '');
  return (
    <div className="grid grid-cols-[1fr_300px] gap-6">
      <div>
        <Rows
          rows={[
            ['Machine', machine.name],
            ['Top', size(quilt.widthIn, quilt.lengthIn)],
            [
              'Batting',
              `${quilt.batting}, cut ${size(quilt.widthIn + 2 * marginIn, quilt.lengthIn + 2 * marginIn)}`,
            ],
            [
              'Backing',
              `${quilt.backing}${layout ? ` ${LAYOUT_LABEL[layout]}` : ''}, cut ${size(quilt.widthIn + 2 * marginIn + testMarginIn, quilt.lengthIn + 2 * marginIn)}`,
            ],
            ...hereRows(prepared, quilt, size),
            ['Test margin', `${lengthText(testMarginIn, preferences.units)} on the right`],
            [
              'Goes on',
              passes
                ? passes.turned
                  ? 'sideways, its left side to the leader'
                  : 'upright, its top edge to the leader'
                : 'cannot be planned',
            ],
            ...markedRows(zones, marking),
            ['Promised', format(parseISO(quilt.dueOn), 'EEE d MMM yyyy')],
            ['Watch for', quilt.watch || 'nothing said'],
            ...(view.conditions.length > 0
              ? [
                  [
                    'Found on it',
                    view.conditions
                      .filter((c) => c.state !== 'done')
                      .map(conditionWords)
                      .join('; ') || 'all done',
                  ] as const,
                ]
              : []),
          ]}
        />
        {watched.length > 0 && (
          <ul className="mt-3 space-y-1">
            {watched.map(([z, words]) => (
              <li key={z.id}>
                <b>
                  {z.letter} {z.name}:
                </b>{' '}
                {words}
              </li>
            ))}
          </ul>
        )}
        <ol className="mt-4 list-decimal space-y-1 pl-5">
          <li>Backing to the leaders, wrong side up, square; taut, not drum tight.</li>
          <li>Batting, then the top; baste across the top edge with the carriage locked.</li>
          <li>
            {preferences.bastingSchool === 'edges'
              ? 'Baste the sides at each pass.'
              : 'Baste the sides at each pass, the near rail and the middle.'}
          </li>
          <li>
            Rollers so high that the quilt neither lifts nor presses on the bed. Fingers clear of rollers and
            ratchets; two people for a heavy roller.
          </li>
        </ol>
        {passes && (
          <table className="mt-4">
            <tbody>
              {passes.depthsIn.map((d, i) => (
                <tr key={i} className="border-b">
                  <td className="py-1 pr-6">Pass {i + 1}</td>
                  <td className="pr-6 font-semibold">{lengthText(d, preferences.units)}</td>
                  <td className="w-40">sewn ☐ back seen ☐</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
      <QuiltMap
        idPrefix="print"
        widthIn={quilt.widthIn}
        lengthIn={quilt.lengthIn}
        zones={zones}
        width={290}
        maxHeight={420}
        passes={quilt.passes}
        bands={passes && { depthsIn: passes.depthsIn, turned: passes.turned }}
      />
    </div>
  );
}

/** What is there against what is needed, for the batting and the backing. */
function hereRows(
  { battingHere, backingHere, marginIn }: Loaded['prepared'],
  quilt: { widthIn: number; lengthIn: number },
  size: (w: number, l: number) => string,
): [string, string][] {
  return (
    [
      ['Batting here', battingHere],
      ['Backing here', backingHere],
    ] as const
  ).flatMap(([label, text]): [string, string][] => {
    const pieces = readPieces(text);
    if (!pieces || pieces.length === 0) return [];
    const { fits, joined } = inHand(quilt, marginIn, pieces);
    const name = (i: number) => size(pieces[i]!.widthIn, pieces[i]!.lengthIn);
    return [
      [
        label,
        fits
          ? `${name(fits.index)}, enough${fits.turned ? ' turned' : ''}`
          : joined
            ? `join ${joined.indexes.map(name).join(' and ')}`
            : 'not enough',
      ],
    ];
  });
}

function order({ view, steps }: Loaded) {
  const cones = new Map(view.shelf.map((c) => [c.id, c]));
  return (
    <table className="w-full">
      <thead>
        <tr className="text-left">
          {['', 'Pass', 'Top thread', 'Zones in their order', 'Minutes', 'Done'].map((h) => (
            <th key={h} className="border-b-2 border-[#000] py-1 pr-4">
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {steps.map((s, i) => (
          <tr key={i} className="border-b">
            <td className="py-1.5 pr-4">{i + 1}</td>
            <td className="pr-4 text-20 font-bold">{s.pass}</td>
            <td className="pr-4 font-semibold">
              {cones.has(s.thread) ? coneName(cones.get(s.thread)!) : ''}
              {i > 0 && steps[i - 1]!.thread !== s.thread && ' (change)'}
            </td>
            <td className="pr-4">
              {s.zones
                .map((z) => `${z.letter} ${view.zones.find((x) => x.id === z.id)?.name ?? ''}`)
                .join(', ')}
            </td>
            <td className="pr-4 tabular-nums">{Math.max(1, Math.round(s.minutes))}</td>
            <td className="text-20">☐</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const endsIn = (plan: Loaded['plan'], zoneId: string) => {
  const planned = plan.zones.find((p) => p.id === zoneId);
  return planned ? endsLine(planned.ends) : '';
};

function cards({ view, machine, scales, settings, preferences, plan }: Loaded) {
  const cones = new Map(view.shelf.map((c) => [c.id, c]));
  const done = view.zones.filter((z) => view.setups.has(z.id));
  if (done.length === 0) return <p>No zone has a set-up yet.</p>;
  return (
    <div className="grid grid-cols-2 gap-3 print:gap-0">
      {done.map((z) => (
        <DrawingSvg
          key={z.id}
          drawing={settingCard(
            cardFacts(
              view.setups.get(z.id)!,
              z,
              view.quilt,
              machine,
              cones,
              scales,
              settings.get(z.id),
              preferences.tensionSchool,
              endsIn(plan, z.id),
            ),
          )}
          title={`Setting card of zone ${z.letter}, ${z.name}`}
          className="h-auto w-full break-inside-avoid print:h-[62mm]"
        />
      ))}
    </div>
  );
}
