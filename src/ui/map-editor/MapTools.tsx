import { Redo2, Undo2 } from 'lucide-react';
import { drawZone, mergeZones } from '@/core/geometry/edit';
import { Button } from '@/ui/kit/Button';
import { redo, undo } from './history';
import type { DrawnZone, Tool } from './MapCanvas';
import { mapToSvg, svgToZones } from './svg-file';
import type { MapEdit, MapQuilt } from './use-map-editor';

export const TOOLS: readonly (readonly [Tool, string, string])[] = [
  ['pick', 'Pick and drag', 'Press a zone; drag its corners and edges. Shift picks several.'],
  ['cut', 'Cut', 'Press two places: the picked zones are cut along the line through them.'],
  ['draw', 'Draw', 'Press corner after corner; Enter closes the shape.'],
];
const STEPS = [0.125, 0.25, 0.5, 1];

/** The tools of the map, and its files. */
export function MapTools({
  edit,
  quilt,
  stepIn,
  onStep,
  onRepeat,
}: {
  edit: MapEdit;
  quilt: MapQuilt;
  stepIn: number;
  onStep: (inches: number) => void;
  onRepeat: () => void;
}) {
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2 border-y py-1.5">
      <span role="radiogroup" aria-label="Tool" className="flex">
        {TOOLS.map(([id, label]) => (
          <button
            key={id}
            type="button"
            role="radio"
            aria-checked={edit.tool === id}
            onClick={() => edit.take(id)}
            className={`min-h-11 border border-rule px-3 ${edit.tool === id ? 'bg-indigo font-semibold text-on-act' : 'bg-cloth'}`}
          >
            {label}
          </button>
        ))}
      </span>
      <label className="flex items-center gap-2">
        to the nearest
        <select
          className="min-h-11 rounded border border-rule bg-cloth px-2"
          value={stepIn}
          onChange={(e) => onStep(Number(e.target.value))}
        >
          {STEPS.map((s) => (
            <option key={s} value={s}>
              {s} in
            </option>
          ))}
        </select>
      </label>
      <UndoRedo edit={edit} />
      <Button
        look="quiet"
        disabled={edit.picked.length < 2}
        onClick={() => {
          edit.put(mergeZones(edit.history.now, edit.picked));
          edit.setPicked([edit.picked[0]!]);
        }}
      >
        Merge {edit.picked.length > 1 ? edit.picked.length : ''}
      </Button>
      <Button look="quiet" disabled={!edit.one} onClick={onRepeat}>
        Repeat
      </Button>
      {edit.tool === 'draw' && (
        <Button disabled={edit.points.length < 3} onClick={edit.closeShape}>
          Close the shape
        </Button>
      )}
      <span className="flex-1" />
      <SvgFiles edit={edit} quilt={quilt} />
    </div>
  );
}

function UndoRedo({ edit }: { edit: MapEdit }) {
  return (
    <>
      <Button
        look="quiet"
        className="!px-3"
        aria-label="Undo"
        disabled={edit.history.past.length === 0}
        onClick={() => edit.setHistory(undo)}
      >
        <Undo2 size={20} aria-hidden />
      </Button>
      <Button
        look="quiet"
        className="!px-3"
        aria-label="Redo"
        disabled={edit.history.future.length === 0}
        onClick={() => edit.setHistory(redo)}
      >
        <Redo2 size={20} aria-hidden />
      </Button>
    </>
  );
}

function SvgFiles({ edit, quilt }: { edit: MapEdit; quilt: MapQuilt }) {
  return (
    <>
      <Button look="quiet" onClick={() => saveMap(edit.history.now, quilt)}>
        Save as SVG
      </Button>
      <label className="inline-flex min-h-11 cursor-pointer items-center rounded border-[1.5px] border-rule bg-cloth px-4 font-semibold has-focus-visible:outline-3 has-focus-visible:outline-solid has-focus-visible:outline-indigo">
        From SVG
        <input
          type="file"
          accept=".svg,image/svg+xml"
          className="sr-only"
          onChange={(e) => {
            void layFile(e.target.files?.[0], edit, quilt);
            e.target.value = '';
          }}
        />
      </label>
    </>
  );
}

/** The map as a file any drawing program opens. */
function saveMap(zones: readonly DrawnZone[], quilt: MapQuilt) {
  const url = URL.createObjectURL(new Blob([mapToSvg(zones, quilt)], { type: 'image/svg+xml' }));
  const a = document.createElement('a');
  a.href = url;
  a.download = `${quilt.name.replace(/[^\w-]+/g, '-').toLowerCase()}-map.svg`;
  a.click();
  URL.revokeObjectURL(url);
}

/** The shapes of a file laid on the map; one with a known zone’s name is that zone, its work and cards stay with it. */
async function layFile(file: File | undefined, edit: MapEdit, quilt: MapQuilt) {
  if (!file) return;
  const read = svgToZones(await file.text(), quilt);
  if (typeof read === 'string') return edit.setSaid(read);
  const known = new Map(edit.history.now.map((z) => [z.name.toLowerCase(), z]));
  let next: DrawnZone[] = [...edit.history.now];
  const laid: string[] = [];
  for (const z of read) {
    const same = known.get(z.name.toLowerCase());
    const id = same && !laid.includes(same.id) ? same.id : z.id;
    next = drawZone(
      next.filter((x) => x.id !== id || laid.includes(x.id)),
      z.geometry,
      quilt,
      { id, letter: '', name: z.name },
    ).map((x) => ({ ...x, hex: (x as DrawnZone).hex ?? same?.hex }));
    laid.push(id);
  }
  edit.put(next);
  edit.setSaid(`${read.length} shapes are laid on the map.`);
}
