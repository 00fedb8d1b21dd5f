'use client';
import { Redo2, Undo2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState, useLayoutEffect } from 'react';
import { v4 as uuidv4 } from 'uuid';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import { cutZone, drawZone, mapProblem, mergeZones, repeatShape } from '@/core/geometry/edit';
import { areaOf, boundsOf, edgeLength, type MultiPolygon, type XY } from '@/core/geometry/polygon';
import { CoreError } from '@/core/notes';
import { letterOf } from '@/core/plan/letters';
import { Button, ButtonLink } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { RecordDialog } from '@/ui/kit/RecordDialog';
import { useActionForm } from '@/ui/kit/use-action-form';
import { draftOf, dropDraft, layDraft } from '@/ui/kit/use-autosave';
import { begin, redo, step, undo } from './history';
import { type DrawnZone, MapCanvas, type Tool } from './MapCanvas';
import { mapToSvg, svgToZones } from './svg-file';

const TOOLS: readonly (readonly [Tool, string, string])[] = [
  ['pick', 'Pick and drag', 'Press a zone; drag its corners and edges. Shift picks several.'],
  ['cut', 'Cut', 'Press two places: the picked zones are cut along the line through them.'],
  ['draw', 'Draw', 'Press corner after corner; Enter closes the shape.'],
];
const STEPS = [0.125, 0.25, 0.5, 1];
/** Never the name of a draft that was left here before. */
const freshId = () => `new-${uuidv4()}`;
const relettered = (zones: readonly DrawnZone[]): DrawnZone[] =>
  zones.map((z, i) => ({ ...z, letter: letterOf(i) }));

/** The quilt map drawn: dragged, cut, merged, drawn and repeated; it must cover the quilt once and only once. */
export function MapEditor({
  quilt,
  zones: first,
}: {
  quilt: { id: string; name: string; widthIn: number; lengthIn: number; version: number };
  zones: DrawnZone[];
}) {
  const router = useRouter();
  const [history, setHistory] = useState(() => begin(first));
  const [moving, setMoving] = useState<DrawnZone[] | null>(null);
  const [picked, setPicked] = useState<string[]>([]);
  const [tool, setTool] = useState<Tool>('pick');
  const [stepIn, setStepIn] = useState(0.25);
  const [points, setPoints] = useState<XY[]>([]);
  const [repeating, setRepeating] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const zones = moving ?? history.now;
  const problem = useMemo(() => mapProblem(history.now, quilt), [history.now, quilt]);
  const draftKey = `map ${quilt.id}`;
  const { send, pending, problems } = useActionForm(doors.saveMap, ({ zones: n }) => {
    dropDraft(draftKey);
    toast(`The map is saved: ${n} zones.`);
    router.push(`/quilts/${quilt.id}/take-in`);
  });
  // What is drawn and not kept lies on this device until it is, and is warned of on leaving.
  const drawn = history.past.length > 0;
  useEffect(() => {
    if (!drawn) return;
    layDraft(draftKey, quilt.version, history.now);
    const warn = (e: BeforeUnloadEvent) => e.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [drawn, draftKey, quilt.version, history.now]);
  useEffect(() => {
    const timer = setTimeout(() => {
      const draft = draftOf<DrawnZone[]>(draftKey, quilt.version);
      if (!draft || JSON.stringify(draft) === JSON.stringify(first)) return;
      setHistory((h) => step(h, draft));
      setSaid('What was drawn here and not kept is here again; Undo takes it back.');
    }, 0);
    return () => clearTimeout(timer);
  }, [draftKey, quilt.version, first]);
  const put = (next: readonly DrawnZone[]) => {
    setHistory((h) => step(h, relettered(next)));
    setMoving(null);
    setSaid(null);
  };
  const add = (shape: MultiPolygon, name: string) => {
    try {
      put(drawZone(history.now, shape, quilt, { id: freshId(), letter: '', name }));
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      setSaid(error.message);
    }
  };
  const press = (at: XY) => {
    const next = [...points, at];
    if (tool !== 'cut' || next.length < 2) return setPoints(next);
    setPoints([]);
    const into = picked.length > 0 ? picked : history.now.map((z) => z.id);
    let cuts = 0;
    const cut = history.now.flatMap((z): DrawnZone[] => {
      const parts = into.includes(z.id) ? cutZone(z.geometry, next[0]!, next[1]!) : null;
      if (!parts) return [z];
      cuts++;
      return [
        { ...z, geometry: parts[0] },
        { ...z, id: freshId(), name: `${z.name}, other side`, geometry: parts[1], from: z.from ?? z.id },
      ];
    });
    if (cuts === 0) return setSaid('That line does not cut any of the picked zones.');
    put(cut);
  };
  const closeShape = () => {
    if (tool === 'draw' && points.length >= 3) add([[points]], `Zone ${letterOf(history.now.length)}`);
    else if (tool === 'draw') setSaid('A shape needs at least three corners.');
    setPoints([]);
  };

  // In place as soon as the page is seen: a key struck at once is not lost.
  useLayoutEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.target instanceof HTMLInputElement || document.querySelector('[role=dialog]')) return;
      const command = e.ctrlKey || e.metaKey;
      if (command && e.key.toLowerCase() === 'z') setHistory(e.shiftKey ? redo : undo);
      else if (command && e.key.toLowerCase() === 'y') setHistory(redo);
      else if (e.key === 'Enter' && tool === 'draw') closeShape();
      else if (e.key === 'Escape') {
        setPoints([]);
        setPicked([]);
      } else return;
      e.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });

  const download = () => {
    const url = URL.createObjectURL(new Blob([mapToSvg(history.now, quilt)], { type: 'image/svg+xml' }));
    const a = document.createElement('a');
    a.href = url;
    a.download = `${quilt.name.replace(/[^\w-]+/g, '-').toLowerCase()}-map.svg`;
    a.click();
    URL.revokeObjectURL(url);
  };
  const upload = async (file: File | undefined) => {
    if (!file) return;
    const read = svgToZones(await file.text(), quilt);
    if (typeof read === 'string') return setSaid(read);
    // A shape with a known zone's name is that zone; its work and cards stay with it.
    const known = new Map(history.now.map((z) => [z.name.toLowerCase(), z]));
    let next: DrawnZone[] = [...history.now];
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
    put(next);
    setSaid(`${read.length} shapes are laid on the map.`);
  };
  const one = picked.length === 1 ? zones.find((z) => z.id === picked[0]) : undefined;
  // A name is one step of the history once it is typed, however many letters it has.
  const rename = (id: string, name: string) => {
    const now = history.now.find((z) => z.id === id);
    if (now && name.trim() !== '' && name !== now.name)
      put(history.now.map((z) => (z.id === id ? { ...z, name } : z)));
  };

  return (
    <div className="px-5 pt-3 pb-8">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="flex-1 text-24">Map of {quilt.name}</h1>
        <ButtonLink look="quiet" href={`/quilts/${quilt.id}/take-in`}>
          Cancel
        </ButtonLink>
        <Button
          look="act"
          disabled={pending || problem !== null || history.past.length === 0}
          onClick={() =>
            send({
              quiltId: quilt.id,
              version: quilt.version,
              zones: history.now.map(({ id, name, geometry, from }) => ({
                id,
                name,
                geometry,
                ...(from ? { from } : {}),
              })),
            })
          }
        >
          Save the map
        </Button>
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2 border-y py-1.5">
        <span role="radiogroup" aria-label="Tool" className="flex">
          {TOOLS.map(([id, label]) => (
            <button
              key={id}
              type="button"
              role="radio"
              aria-checked={tool === id}
              onClick={() => {
                setTool(id);
                setPoints([]);
              }}
              className={`min-h-11 border border-rule px-3 ${tool === id ? 'bg-indigo font-semibold text-on-act' : 'bg-cloth'}`}
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
            onChange={(e) => setStepIn(Number(e.target.value))}
          >
            {STEPS.map((s) => (
              <option key={s} value={s}>
                {s} in
              </option>
            ))}
          </select>
        </label>
        <Button
          look="quiet"
          className="!px-3"
          aria-label="Undo"
          disabled={history.past.length === 0}
          onClick={() => setHistory(undo)}
        >
          <Undo2 size={20} aria-hidden />
        </Button>
        <Button
          look="quiet"
          className="!px-3"
          aria-label="Redo"
          disabled={history.future.length === 0}
          onClick={() => setHistory(redo)}
        >
          <Redo2 size={20} aria-hidden />
        </Button>
        <Button
          look="quiet"
          disabled={picked.length < 2}
          onClick={() => {
            put(mergeZones(history.now, picked));
            setPicked([picked[0]!]);
          }}
        >
          Merge {picked.length > 1 ? picked.length : ''}
        </Button>
        <Button look="quiet" disabled={!one} onClick={() => setRepeating(true)}>
          Repeat
        </Button>
        {tool === 'draw' && (
          <Button disabled={points.length < 3} onClick={closeShape}>
            Close the shape
          </Button>
        )}
        <span className="flex-1" />
        <Button look="quiet" onClick={download}>
          Save as SVG
        </Button>
        <label className="inline-flex min-h-11 cursor-pointer items-center rounded border-[1.5px] border-rule bg-cloth px-4 font-semibold has-focus-visible:outline-3 has-focus-visible:outline-solid has-focus-visible:outline-indigo">
          From SVG
          <input
            type="file"
            accept=".svg,image/svg+xml"
            className="sr-only"
            onChange={(e) => {
              void upload(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
        </label>
      </div>
      <p
        role="status"
        className={`min-h-7 pt-1 ${problem || said ? 'font-medium text-weld-text' : 'text-ink2'}`}
      >
        {said ?? problem ?? TOOLS.find(([id]) => id === tool)![2]}
      </p>
      <Problems problems={problems} />
      <div className="mt-1 grid gap-5 lg:grid-cols-[auto_minmax(300px,1fr)]">
        <MapCanvas
          zones={zones}
          quilt={quilt}
          height={600}
          picked={picked}
          tool={tool}
          stepIn={stepIn}
          points={points}
          onPick={(id, more) =>
            setPicked((now) =>
              more ? (now.includes(id) ? now.filter((x) => x !== id) : [...now, id]) : [id],
            )
          }
          onPoint={press}
          onMove={(next, done) => (done ? put(next) : setMoving(next))}
        />
        <ol
          aria-label="Zones"
          className="grid max-h-[640px] grid-cols-[repeat(auto-fill,minmax(250px,1fr))] content-start gap-x-5 overflow-auto"
        >
          {zones.map((z) => (
            <li key={z.id} className={`border-b py-1.5 ${picked.includes(z.id) ? 'bg-indigo-tint' : ''}`}>
              <label className="flex items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5 accent-(--indigo)"
                  aria-label={`Pick zone ${z.letter}`}
                  checked={picked.includes(z.id)}
                  onChange={() =>
                    setPicked((now) => (now.includes(z.id) ? now.filter((x) => x !== z.id) : [...now, z.id]))
                  }
                />
                <b className="w-7">{z.letter}</b>
                <NameOf
                  key={`${z.id} ${z.name}`}
                  letter={z.letter}
                  name={z.name}
                  onName={(name) => rename(z.id, name)}
                />
              </label>
              <p className="pl-14 text-13 text-ink2">
                {areaOf(z.geometry).toFixed(1)} in², edges {edgeLength(z.geometry).toFixed(1)} in
              </p>
            </li>
          ))}
        </ol>
      </div>
      {repeating && one && (
        <RecordDialog
          title={`Repeat ${one.name}`}
          about="The same shape in columns and rows, together one zone, laid over what is there."
          onClose={() => setRepeating(false)}
          specs={[
            { name: 'columns', label: 'Across', kind: 'number' },
            { name: 'rows', label: 'Down', kind: 'number' },
            { name: 'dx', label: 'Every', kind: 'number', hint: 'in across' },
            { name: 'dy', label: 'Every', kind: 'number', hint: 'in down' },
          ]}
          initial={{ columns: 3, rows: 3, dx: pitch(one.geometry, 'x'), dy: pitch(one.geometry, 'y') }}
          act={async (input) => {
            const { columns, rows, dx, dy } = input as Record<string, number>;
            const whole = [columns, rows].every((n) => Number.isInteger(n) && n! >= 1 && n! <= 40);
            if (!whole)
              return {
                ok: false,
                problems: [{ path: 'columns', message: 'Give whole numbers from 1 to 40.' }],
              };
            if (![dx, dy].every((n) => typeof n === 'number' && n > 0))
              return { ok: false, problems: [{ path: 'dx', message: 'Give the distance in inches.' }] };
            return { ok: true, value: repeatShape(one.geometry, columns!, rows!, dx!, dy!) };
          }}
          onDone={(shape) => {
            const others = history.now.filter((z) => z.id !== one.id);
            try {
              put(
                drawZone(others, shape, quilt, { id: one.id, letter: '', name: one.name }).map((z) =>
                  z.id === one.id ? { ...z, hex: one.hex } : z,
                ),
              );
            } catch (error) {
              if (error instanceof CoreError) setSaid(error.message);
            }
            setRepeating(false);
          }}
          submit="Repeat it"
        />
      )}
    </div>
  );
}

/** A zone’s name: taken when it is left, or with Enter. */
function NameOf({ letter, name, onName }: { letter: string; name: string; onName: (name: string) => void }) {
  const [typed, setTyped] = useState(name);
  return (
    <input
      aria-label={`Name of zone ${letter}`}
      value={typed}
      maxLength={120}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={() => (typed.trim() === '' ? setTyped(name) : onName(typed))}
      onKeyDown={(e) => e.key === 'Enter' && onName(typed)}
      className="min-h-10 w-full rounded border border-transparent bg-transparent px-1 hover:border-rule focus:border-rule"
    />
  );
}

const pitch = (shape: MultiPolygon, axis: 'x' | 'y') => {
  const b = boundsOf(shape);
  return Math.ceil(axis === 'x' ? b.x1 - b.x0 : b.y1 - b.y0) + 2;
};
