import { ask } from '@/actions/queries';
import { format, parseISO } from 'date-fns';
import { headers } from 'next/headers';
import { qrPath } from '@/ui/draw/qr-path';
import { studioScheme } from '@/serve/scheme';
import { CONDITION_STATE_LABEL } from '@/core/fields/lists';
import { CONDITION_KINDS } from '@/core/tables/conditions';
import { features } from '@/core/tables/features';
import { Sheet } from '@/ui/print/Sheet';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';

export const metadata = { title: 'Intake slip' };

/** The slip that stays with the bundle; its code opens the quilt. */
export default async function SlipPage(props: QuiltPageProps) {
  const { view } = await readQuiltPage(props);
  const { quilt, zones } = view;
  const [preferences, head] = await Promise.all([ask.readPreferences(), headers()]);
  const address = `${studioScheme()}://${head.get('host') ?? '127.0.0.1:3111'}/quilts/${quilt.id}`;
  const { d: dark, size } = qrPath(address);
  const seen = [...new Set(zones.flatMap((z) => z.features))].map((f) => features.get(f).label);
  const rows: readonly (readonly [string, string])[] = [
    ['Client', quilt.client],
    ['Quilt', quilt.name],
    ['Size', `${quilt.widthIn} × ${quilt.lengthIn} in`],
    ['Taken in', format(parseISO(quilt.takenInOn), 'EEE d MMM yyyy')],
    ['Promised', format(parseISO(quilt.dueOn), 'EEE d MMM yyyy')],
    ['Batting', quilt.batting],
    ['Backing', quilt.backing],
    ['Wishes', quilt.wishes || 'none said'],
    ['Watch for', [quilt.watch, ...seen].filter(Boolean).join(', ') || 'nothing said'],
    [
      'Found on it',
      view.conditions
        .map((c) =>
          [CONDITION_KINDS.get(c.kind).label, c.place, CONDITION_STATE_LABEL[c.state]]
            .filter(Boolean)
            .join(', '),
        )
        .join('\n') || 'nothing',
    ],
    ['Washing', quilt.care || 'not said'],
  ];
  return (
    <Sheet title={`${preferences?.name ?? ''}: intake slip`} back={`/quilts/${quilt.id}/take-in`}>
      <div className="grid grid-cols-[1fr_150px] gap-6">
        <dl>
          {rows.map(([k, v]) => (
            <div key={k} className="flex gap-4 border-b py-1.5">
              <dt className="w-24 shrink-0">{k}</dt>
              <dd className="font-semibold whitespace-pre-wrap">{v}</dd>
            </div>
          ))}
        </dl>
        <figure>
          <svg
            viewBox={`-2 -2 ${size + 4} ${size + 4}`}
            width="150"
            role="img"
            aria-label={`Code that opens ${address}`}
          >
            <rect x="-2" y="-2" width={size + 4} height={size + 4} fill="#fff" />
            <path d={dark} fill="#000" />
          </svg>
          <figcaption className="text-13">opens this quilt</figcaption>
        </figure>
      </div>
      <p className="mt-6">Signed by the client: ______________________________</p>
    </Sheet>
  );
}
