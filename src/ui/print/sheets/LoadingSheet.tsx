import { format, parseISO } from 'date-fns';
import { LAYOUT_LABEL } from '@/core/fields/quilt';
import { conditionWords } from '@/core/tables/conditions';
import { inHand } from '@/core/backing/in-hand';
import { readPieces } from '@/core/backing/read-pieces';
import { TABLE_ORDER, tableAdvice, type TableAdvice } from '@/core/machine/table';
import { watchFor, watchWords } from '@/core/watch/watch-for';
import type { ZoneMarking } from '@/actions/marking';
import { markedWords } from '@/core/marking/marking';
import { lengthText } from '@/core/units/length-text';
import { QuiltMap } from '@/ui/quilt-map/QuiltMap';
import type { SheetFacts } from './sheet-facts';

export function LoadingSheet(facts: SheetFacts) {
  const { quilt, zones } = facts.view;
  const { passes } = facts.plan;
  const advice = adviceOf(facts);
  const watched = zones.map((z) => [z, watchWords(watchFor(z))] as const).filter(([, words]) => words !== '');
  return (
    <div className="grid grid-cols-[1fr_300px] gap-6">
      <div>
        <Rows rows={loadingRows(facts)} />
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
        {advice ? <OnTheTable advice={advice} /> : <OnTheFrame school={facts.preferences.bastingSchool} />}
        {passes && !advice && <PassBoxes depthsIn={passes.depthsIn} units={facts.preferences.units} />}
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
  zones: SheetFacts['view']['zones'],
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

/** What is there against what is needed, for the batting and the backing. */
function hereRows(
  { battingHere, backingHere, marginIn }: SheetFacts['prepared'],
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

/** What is to be known before it goes on, line by line. */
function loadingRows({
  view,
  machine,
  plan,
  preferences,
  prepared,
  marking,
  request,
}: SheetFacts): (readonly [string, string])[] {
  const { marginIn, testMarginIn, layout } = prepared;
  const { quilt, zones } = view;
  const size = (w: number, l: number) =>
    `${lengthText(w, preferences.units)} by ${lengthText(l, preferences.units)}`;
  const { passes } = plan;
  return [
    ['Machine', machine.name],
    ['Top', size(quilt.widthIn, quilt.lengthIn)],
    ['Batting', `${quilt.batting}, cut ${size(quilt.widthIn + 2 * marginIn, quilt.lengthIn + 2 * marginIn)}`],
    [
      'Backing',
      `${quilt.backing}${layout ? ` ${LAYOUT_LABEL[layout]}` : ''}, cut ${size(quilt.widthIn + 2 * marginIn + testMarginIn, quilt.lengthIn + 2 * marginIn)}`,
    ],
    ...hereRows(prepared, quilt, size),
    ['Test margin', `${lengthText(testMarginIn, preferences.units)} on the right`],
    [
      'Goes on',
      request.table
        ? 'basted on a table'
        : passes
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
  ];
}

/** How it goes on the frame. */
function OnTheFrame({ school }: { school: SheetFacts['preferences']['bastingSchool'] }) {
  return (
    <ol className="mt-4 list-decimal space-y-1 pl-5">
      <li>Backing to the leaders, wrong side up, square; taut, not drum tight.</li>
      <li>Batting, then the top; baste across the top edge with the carriage locked.</li>
      <li>
        {school === 'edges'
          ? 'Baste the sides at each pass.'
          : 'Baste the sides at each pass, the near rail and the middle.'}
      </li>
      <li>
        Rollers so high that the quilt neither lifts nor presses on the bed. Fingers clear of rollers and
        ratchets; two people for a heavy roller.
      </li>
    </ol>
  );
}

const adviceOf = ({ request }: SheetFacts): TableAdvice | null =>
  request.table ? tableAdvice(request.table, { ...request.quilt, ...request }) : null;

/** How it is made ready for a table. */
function OnTheTable({ advice }: { advice: TableAdvice }) {
  return (
    <ol className="mt-4 list-decimal space-y-1 pl-5">
      <li>
        Backing taped flat to the table, wrong side up; batting, then the top, smoothed from the middle.
      </li>
      <li>
        Baste:{' '}
        {advice.bastings.map((b) => `${b.label} (${Math.round(b.minutes)} min, ${b.takes})`).join('; or ')}.
      </li>
      {TABLE_ORDER.map((t) => (
        <li key={t}>{t}</li>
      ))}
      {advice.cautions.map((c) => (
        <li key={c.code}>{c.text}</li>
      ))}
    </ol>
  );
}

/** A line for each pass to tick. */
function PassBoxes({
  depthsIn,
  units,
}: {
  depthsIn: readonly number[];
  units: SheetFacts['preferences']['units'];
}) {
  return (
    <table className="mt-4">
      <tbody>
        {depthsIn.map((d, i) => (
          <tr key={i} className="border-b">
            <td className="py-1 pr-6">Pass {i + 1}</td>
            <td className="pr-6 font-semibold">{lengthText(d, units)}</td>
            <td className="w-40">sewn ☐ back seen ☐</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
