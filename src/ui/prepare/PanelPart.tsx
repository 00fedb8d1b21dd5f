import { cutPanel, type PanelCut } from '@/core/backing/panel';
import { readPieces } from '@/core/backing/read-pieces';
import { attempt } from '@/core/notes';
import { box, type Drawing, type Label, type Mark } from '@/ui/draw/mark';
import { DrawingSvg } from '@/ui/draw/Marks';

interface Top {
  id: string;
  name: string;
  widthIn: number;
  lengthIn: number;
}

/** Several tops and their binding out of one panel, to scale. */
export function PanelPart({
  field,
  text,
  tops,
  stripIn,
  length,
}: {
  field: React.ReactNode;
  text: string;
  /** This quilt and those that share. */
  tops: readonly Top[];
  stripIn: number;
  length: (inches: number) => string;
}) {
  const panel = readPieces(text)?.[0];
  const cut = panel ? attempt(() => cutPanel(panel, tops, stripIn)) : null;
  return (
    <section aria-label="Out of one panel" className="mt-6">
      <h3 className="border-t-2 border-ink pt-2 text-20">Tops and binding out of one panel</h3>
      {field}
      {text.trim() !== '' && !panel && (
        <p className="mt-2 font-medium text-madder">Write the panel as 44 × 108.</p>
      )}
      {typeof cut === 'string' && <p className="mt-2 font-medium text-madder">{cut}</p>}
      {cut && typeof cut !== 'string' && (
        <div aria-live="polite">
          {cut.tops === null ? (
            <p className="mt-2 font-medium text-madder">
              {tops.length === 1 ? 'The top does' : `These ${tops.length} tops do`} not come out of that
              panel.
            </p>
          ) : (
            <>
              <p className="mt-2">
                {tops.length === 1 ? 'The top' : `${tops.length} tops`} and{' '}
                {cut.strips.length === 1 ? 'one strip' : `${cut.strips.length} strips`}:{' '}
                {cut.bindingIn >= cut.neededIn ? (
                  <b className="text-verdigris">binding enough, {length(cut.bindingIn)} joined</b>
                ) : (
                  <b className="text-weld-text">
                    {length(cut.neededIn - cut.bindingIn)} of binding lacks of {length(cut.neededIn)}
                  </b>
                )}
                , {Math.round(cut.wasteIn2)} in² left over.
              </p>
              <DrawingSvg
                drawing={panelDiagram(cut, (id) => tops.find((t) => t.id === id)?.name ?? '')}
                className="mt-1 h-auto max-w-full"
                title="The panel with its cuts"
              />
            </>
          )}
        </div>
      )}
    </section>
  );
}

/** Panel, tops and strips at one scale. */
function panelDiagram({ laidIn, tops, strips }: PanelCut, nameOf: (id: string) => string): Drawing {
  const [width, height] = [620, 300];
  const perIn = Math.min((width - 20) / laidIn.widthIn, (height - 20) / laidIn.lengthIn);
  const at = (x: number, y: number, w: number, l: number) =>
    box(10 + x * perIn, 10 + y * perIn, w * perIn, l * perIn);
  const marks: Mark[] = [
    {
      d: at(0, 0, laidIn.widthIn, laidIn.lengthIn),
      fill: 'var(--walnut-tint)',
      stroke: 'var(--ink)',
      width: 1.3,
    },
    ...strips.map((s) => ({
      d: at(s.x, s.y, s.widthIn, s.lengthIn),
      fill: 'var(--cloth)',
      stroke: 'var(--madder)',
      width: 1,
      dash: '5 3',
    })),
  ];
  const labels: Label[] = [];
  for (const q of tops?.placed ?? []) {
    const [w, l] = q.turned ? [q.lengthIn, q.widthIn] : [q.widthIn, q.lengthIn];
    marks.push({ d: at(q.x, q.y, w, l), fill: 'var(--cloth)', stroke: 'var(--indigo)', width: 1.6 });
    labels.push({
      x: 10 + (q.x + w / 2) * perIn,
      y: 10 + (q.y + l / 2) * perIn + 4,
      anchor: 'middle',
      text: nameOf(q.id),
    });
  }
  return { width, height, marks, labels };
}
