import { useRouter } from 'next/navigation';
import {
  useCallback,
  type Dispatch,
  type SetStateAction,
  useEffect,
  useLayoutEffect,
  useMemo,
  useState,
} from 'react';
import { v4 as uuidv4 } from 'uuid';
import { doors } from '@/actions/doors';
import { cutZone, drawZone, mapProblem } from '@/core/geometry/edit';
import type { MultiPolygon, XY } from '@/core/geometry/polygon';
import { CoreError } from '@/core/notes';
import { letterOf } from '@/core/plan/letters';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';
import { draftOf, dropDraft, layDraft } from '@/ui/kit/use-autosave';
import { begin, type History, redo, step, undo } from './history';
import type { DrawnZone, Tool } from './MapCanvas';

export interface MapQuilt {
  id: string;
  name: string;
  widthIn: number;
  lengthIn: number;
  version: number;
}

/** Never the name of a draft that was left here before. */
const freshId = () => `new-${uuidv4()}`;
const relettered = (zones: readonly DrawnZone[]): DrawnZone[] =>
  zones.map((z, i) => ({ ...z, letter: letterOf(i) }));

/** The zones along which a line cuts those picked, and how many it cut. */
function cutAlong(zones: readonly DrawnZone[], into: readonly string[], a: XY, b: XY) {
  let cuts = 0;
  const cut = zones.flatMap((z): DrawnZone[] => {
    const parts = into.includes(z.id) ? cutZone(z.geometry, a, b) : null;
    if (!parts) return [z];
    cuts++;
    return [
      { ...z, geometry: parts[0] },
      { ...z, id: freshId(), name: `${z.name}, other side`, geometry: parts[1], from: z.from ?? z.id },
    ];
  });
  return { cut, cuts };
}

/** What is drawn and not kept lies on this device until it is, and is warned of on leaving; what was left here is back. */
function useDraft(
  draftKey: string,
  version: number,
  first: readonly DrawnZone[],
  history: History<DrawnZone[]>,
  onBack: (zones: DrawnZone[]) => void,
) {
  // What is drawn and not kept lies on this device until it is, and is warned of on leaving.
  const drawn = history.past.length > 0;
  useEffect(() => {
    if (!drawn) return;
    layDraft(draftKey, version, history.now);
    const warn = (e: BeforeUnloadEvent) => e.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [drawn, draftKey, version, history.now]);
  useEffect(() => {
    const timer = setTimeout(() => {
      const draft = draftOf<DrawnZone[]>(draftKey, version);
      if (!draft || JSON.stringify(draft) === JSON.stringify(first)) return;
      onBack(draft);
    }, 0);
    return () => clearTimeout(timer);
  }, [draftKey, version, first, onBack]);
}

/** Keys of the drawing, in place as soon as the page is seen: one struck at once is not lost. */
function useDrawingKeys(
  tool: Tool,
  setHistory: Dispatch<SetStateAction<History<DrawnZone[]>>>,
  closeShape: () => void,
  letGo: () => void,
) {
  useLayoutEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.target instanceof HTMLInputElement || document.querySelector('[role=dialog]')) return;
      const command = e.ctrlKey || e.metaKey;
      if (command && e.key.toLowerCase() === 'z') setHistory(e.shiftKey ? redo : undo);
      else if (command && e.key.toLowerCase() === 'y') setHistory(redo);
      else if (e.key === 'Enter' && tool === 'draw') closeShape();
      else if (e.key === 'Escape') {
        letGo();
      } else return;
      e.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}

/** Which zones are picked, one or several. */
function usePicked() {
  const [picked, setPicked] = useState<string[]>([]);
  const pick = (id: string, more: boolean) =>
    setPicked((now) => (more ? (now.includes(id) ? now.filter((x) => x !== id) : [...now, id]) : [id]));
  return { picked, setPicked, pick };
}

/** The zones as they are drawn, with their history, and what was said of the last act. */
function useZones(quilt: MapQuilt, first: DrawnZone[], draftKey: string) {
  const [history, setHistory] = useState(() => begin(first));
  const [moving, setMoving] = useState<DrawnZone[] | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const onBack = useCallback((draft: DrawnZone[]) => {
    setHistory((h) => step(h, draft));
    setSaid('What was drawn here and not kept is here again; Undo takes it back.');
  }, []);
  useDraft(draftKey, quilt.version, first, history, onBack);
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
  // A name is one step of the history once it is typed, however many letters it has.
  const rename = (id: string, name: string) => {
    const now = history.now.find((z) => z.id === id);
    if (now && name.trim() !== '' && name !== now.name)
      put(history.now.map((z) => (z.id === id ? { ...z, name } : z)));
  };
  return { zones: moving ?? history.now, history, setHistory, setMoving, put, add, rename, said, setSaid };
}

/** The tool in hand and the points pressed with it: a shape drawn, zones cut along a line. */
function useTool(
  { history, put, add, setSaid }: ReturnType<typeof useZones>,
  { picked }: ReturnType<typeof usePicked>,
) {
  const [tool, setTool] = useState<Tool>('pick');
  const [points, setPoints] = useState<XY[]>([]);
  const press = (at: XY) => {
    const next = [...points, at];
    if (tool !== 'cut' || next.length < 2) return setPoints(next);
    setPoints([]);
    const into = picked.length > 0 ? picked : history.now.map((z) => z.id);
    const { cut, cuts } = cutAlong(history.now, into, next[0]!, next[1]!);
    if (cuts === 0) return setSaid('That line does not cut any of the picked zones.');
    put(cut);
  };
  const closeShape = () => {
    if (tool === 'draw' && points.length >= 3) add([[points]], `Zone ${letterOf(history.now.length)}`);
    else if (tool === 'draw') setSaid('A shape needs at least three corners.');
    setPoints([]);
  };
  const take = (next: Tool) => {
    setTool(next);
    setPoints([]);
  };
  return { tool, take, points, press, closeShape, letGo: () => setPoints([]) };
}

/** Saves the map as it is drawn, and goes on to the intake. */
function useSaveMap(quilt: MapQuilt, draftKey: string, zones: readonly DrawnZone[]) {
  const router = useRouter();
  const { send, pending, problems } = useActionForm(doors.saveMap, ({ zones: n }) => {
    dropDraft(draftKey);
    toast(`The map is saved: ${n} zones.`);
    router.push(`/quilts/${quilt.id}/take-in`);
  });
  const save = () =>
    send({
      quiltId: quilt.id,
      version: quilt.version,
      zones: zones.map(({ id, name, geometry, from }) => ({ id, name, geometry, ...(from ? { from } : {}) })),
    });
  return { save, pending, problems };
}

/** A map as it is drawn: its history, what is picked, the tool in hand, and what is wrong with it. */
export function useMapEditor(quilt: MapQuilt, first: DrawnZone[]) {
  const draftKey = `map ${quilt.id}`;
  const drawn = useZones(quilt, first, draftKey);
  const chosen = usePicked();
  const { letGo, ...tool } = useTool(drawn, chosen);
  const saving = useSaveMap(quilt, draftKey, drawn.history.now);
  const { zones, history, setHistory } = drawn;
  const problem = useMemo(() => mapProblem(history.now, quilt), [history.now, quilt]);
  useDrawingKeys(tool.tool, setHistory, tool.closeShape, () => {
    letGo();
    chosen.setPicked([]);
  });
  const one = chosen.picked.length === 1 ? zones.find((z) => z.id === chosen.picked[0]) : undefined;
  return { ...drawn, ...chosen, ...tool, ...saving, one, problem };
}
export type MapEdit = ReturnType<typeof useMapEditor>;
