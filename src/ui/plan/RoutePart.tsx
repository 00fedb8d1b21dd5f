'use client';
import { useMemo, useState } from 'react';
import type { XY } from '@/core/geometry/polygon';
import { begunAt, waysOn, type WayOn } from '@/core/route/on-from';
import { START_COST_IN } from '@/core/route/route';
import { routeSvg } from '@/core/route/route-svg';
import type { PassRoute } from '@/core/route/zone-routes';
import type { Line } from '@/core/route/lines';
import { saveFile } from '@/ui/draw/save-drawing';
import { Button } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';
import { Taps } from '@/ui/kit/Taps';
import { type DrawnMap, mapScale, QuiltMap } from '@/ui/quilt-map/QuiltMap';
import { pressedAt } from '@/ui/quilt-map/pressed-at';
import { RouteLayer } from '@/ui/quilt-map/RouteLayer';

/** A zone whose lines have a way round, pass by pass. */
export interface RoutedZone {
  id: string;
  letter: string;
  name: string;
  work: string;
  /** A line sewn twice is seen in it. */
  shows: boolean;
  /** Minutes of a start with its end, and how it is tied. */
  endMin: number;
  endWay: string;
  routes: readonly PassRoute[];
}

const WAY_WORDS: Readonly<Record<WayOn['kind'], string>> = {
  retrace: 'go back over what is sewn',
  echo: 'go back beside what is sewn, an echo',
  'tie-off': 'tie off and begin anew there',
};
const inches = (n: number) => `${n < 10 ? Number(n.toFixed(1)) : Math.round(n)} in`;

/** The lines of some paths in the order they are sewn, each once, and the first place where each is come to. */
function inOrder(paths: readonly { points: readonly XY[] }[]): Line[] {
  const seen = new Set<string>();
  const key = (a: XY, b: XY) => [a.join(','), b.join(',')].sort().join(' ');
  return paths.flatMap(({ points }) =>
    points.slice(1).flatMap((b, i): Line[] => {
      const a = points[i]!;
      const k = key(a, b);
      return seen.has(k) || !seen.add(k) ? [] : [{ a, b }];
    }),
  );
}

/** The way round a zone's lines in a pass without lifting: begun where the quilter likes, and the way on when she is stuck. */
export function RoutePart({
  quilt,
  zones,
  map,
}: {
  quilt: { name: string; widthIn: number; lengthIn: number };
  zones: readonly RoutedZone[];
  map: DrawnMap;
}) {
  const [zoneId, setZone] = useState(zones[0]?.id ?? '');
  const zone = zones.find((z) => z.id === zoneId) ?? zones[0];
  const [asked, setPass] = useState<number | null>(null);
  const [press, setPress] = useState<'begin' | 'stuck'>('begin');
  const [begin, setBegin] = useState<XY | null>(null);
  const [stuck, setStuck] = useState<XY | null>(null);
  const route = zone?.routes.find((r) => r.pass === asked) ?? zone?.routes[0];
  const paths = useMemo(
    () => (route ? (begin ? begunAt(route.paths, begin) : route.paths) : []),
    [route, begin],
  );
  const ways = useMemo(() => {
    if (!stuck || !zone) return null;
    const lines = inOrder(paths);
    const dist = ({ b }: Line) => Math.hypot(b[0] - stuck[0], b[1] - stuck[1]);
    const here = lines.reduce((best, l, i) => (dist(l) < dist(lines[best]!) - 1e-9 ? i : best), 0);
    // Everything up to here is sewn; the next line is the one that cannot be gone on with.
    const left = new Set(lines.map((_, i) => i).filter((i) => i > here));
    return waysOn(lines, left, lines[here]!.b, START_COST_IN, zone.shows);
  }, [stuck, zone, paths]);
  if (!zone || !route)
    return (
      <Empty title="No lines to go round">
        A way without lifting is worked out for ditch, outlines and arcs from corner to corner. Give a zone
        such a technique, under Match, What to quilt.
      </Empty>
    );
  const unit = 1 / mapScale(map, 20);
  const another = (change: () => void) => {
    change();
    setBegin(null);
    setStuck(null);
  };
  const extra = paths.length - route.paths.length;
  return (
    <div className="mt-3 grid gap-x-8 gap-y-4 xl:grid-cols-[auto_minmax(0,1fr)]">
      <div>
        <div className="mb-2 flex flex-wrap items-center gap-3">
          <Taps
            label="A press on the map"
            value={press}
            onChange={(v) => setPress(v as 'begin' | 'stuck')}
            options={[
              { value: 'begin', label: 'begins here' },
              { value: 'stuck', label: 'I am stuck here' },
            ]}
          />
        </div>
        {/* The same is done by the buttons beside it. */}
        <div
          className="cursor-crosshair touch-none"
          onPointerMove={(e) => {
            // Dragged along the lines, the start follows.
            const at = e.buttons === 1 && press === 'begin' ? pressedAt(e, quilt) : null;
            if (at) setBegin([at.xIn, at.yIn]);
          }}
          onClick={(e) => {
            const at = pressedAt(e, quilt);
            if (!at) return;
            if (press === 'begin') {
              setBegin([at.xIn, at.yIn]);
              setStuck(null);
            } else setStuck([at.xIn, at.yIn]);
          }}
        >
          <QuiltMap {...map} chosenId={zone.id}>
            <RouteLayer paths={paths} unit={unit} />
            {stuck && (
              <circle
                cx={stuck[0]}
                cy={stuck[1]}
                r={8 * unit}
                fill="none"
                stroke="var(--madder)"
                strokeWidth={3 * unit}
              />
            )}
            {ways?.[0] && ways[0].points.length > 1 && (
              <path
                d={ways[0].points.map((p, i) => `${i === 0 ? 'M' : 'L'}${p[0]} ${p[1]}`).join('')}
                fill="none"
                stroke="var(--madder)"
                strokeWidth={3 * unit}
                strokeDasharray={`${6 * unit} ${4 * unit}`}
                className="pointer-events-none"
              />
            )}
          </QuiltMap>
        </div>
      </div>
      <div>
        <div className="flex flex-wrap items-center gap-3">
          <Taps
            label="Zone"
            value={zone.id}
            onChange={(v) => another(() => setZone(v))}
            options={zones.map((z) => ({ value: z.id, label: `${z.letter} ${z.name}` }))}
          />
          <Taps
            label="Pass"
            value={String(route.pass)}
            onChange={(v) => another(() => setPass(Number(v)))}
            options={zone.routes.map((r) => ({ value: String(r.pass), label: String(r.pass) }))}
          />
        </div>
        <p className="mt-3 text-20">
          {zone.work}: <b>{paths.length === 1 ? 'one start' : `${paths.length} starts`}</b>,{' '}
          {inches(route.sewnIn)} to sew
          {route.againIn > 0.05 ? `, ${inches(route.againIn)} of it over again` : ', nothing over again'}.
        </p>
        <p className="text-ink2">
          {route.freeEnds > 0 &&
            `${route.freeEnds} ${route.freeEnds === 1 ? 'end runs' : 'ends run'} off the quilt’s edge and ${route.freeEnds === 1 ? 'needs' : 'need'} no tie-off. `}
          {`${route.freeEnds > 0 ? 'The others' : 'Ends'}: ${zone.endWay}, ${zone.endMin} min a start with its end. `}
          {route.exact
            ? 'No cheaper way round these lines exists, a start counted as 8 in of sewing.'
            : 'A very good way, though a cheaper one may exist.'}
        </p>
        {extra > 0 && (
          <p className="mt-2 font-medium text-weld-text">
            Begun in the middle of an open line: that costs a start more.
          </p>
        )}
        <p className="mt-3 text-13 text-ink2">Places: inches from the left × inches from the top</p>
        <ol className="border-t-2 border-ink">
          {paths.map(({ points }, i) => (
            <li key={i} className="flex flex-wrap items-center gap-3 border-b py-1.5">
              <b className="w-6">{i + 1}</b>
              <span className="flex-1">
                from {placeWords(points[0]!)} to {placeWords(points.at(-1)!)}, {inches(lengthOf(points))}
              </span>
              {i === 0 || paths.length > 1 ? (
                <Button look="quiet" onClick={() => setBegin(points.at(-1)!)}>
                  Begin at its end
                </Button>
              ) : null}
            </li>
          ))}
        </ol>
        <div className="mt-3 flex flex-wrap gap-3">
          {(begin || stuck) && (
            <Button
              onClick={() => {
                setBegin(null);
                setStuck(null);
              }}
            >
              As it was
            </Button>
          )}
          <Button
            onClick={() =>
              saveFile(
                new Blob(
                  [
                    routeSvg(quilt, [
                      { ...route, paths: paths.map((p) => ({ points: [...p.points] })), zone: zone.letter },
                    ]),
                  ],
                  { type: 'image/svg+xml' },
                ),
                `${quilt.name} ${zone.letter} pass ${route.pass} route`,
                'svg',
              )
            }
          >
            Download as SVG
          </Button>
        </div>
        {ways && (
          <section aria-label="The way on" className="mt-4 border-t-2 border-madder pt-2">
            <h3 className="text-20">Stuck at {placeWords(stuck!)}</h3>
            {ways.length === 0 ? (
              <p>Everything is sewn by then: tie off.</p>
            ) : (
              <ol>
                {ways.map((w, i) => (
                  <li
                    key={w.kind}
                    className={`border-b py-1 ${i === 0 ? 'text-[17px] font-semibold' : 'text-ink2'}`}
                  >
                    {i === 0 ? 'Cheapest: ' : ''}
                    {WAY_WORDS[w.kind]}
                    {w.kind === 'tie-off' ? `, to ${placeWords(w.to)}` : ` to ${placeWords(w.to)}`}: as much
                    as {inches(w.costIn)} of sewing
                  </li>
                ))}
              </ol>
            )}
          </section>
        )}
      </div>
    </div>
  );
}

const lengthOf = (points: readonly XY[]) =>
  points.slice(1).reduce((s, b, i) => s + Math.hypot(b[0] - points[i]![0], b[1] - points[i]![1]), 0);
const placeWords = ([x, y]: XY) => `${Math.round(x)} × ${Math.round(y)} in`;
