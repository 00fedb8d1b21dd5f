'use client';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Check } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { Cone } from '@/data/types';
import { CLEAR } from '@/ui/draw/colour';
import { SpoolGlyph } from '@/ui/spool/SpoolGlyph';

const SPOOL_W = 118;
const ROW_H = 172;

/** The cones as spools on shelves: fullness is what is left; only the shelves in sight are drawn. */
export function ShelfRows({
  cones,
  picked,
  onPick,
  onOpen,
  lowM,
}: {
  cones: readonly Cone[];
  picked: ReadonlySet<string>;
  onPick: (id: string) => void;
  onOpen: (cone: Cone) => void;
  lowM: number;
}) {
  const scroller = useRef<HTMLDivElement>(null);
  const [columns, setColumns] = useState(10);
  const [focused, setFocused] = useState(0);
  useEffect(() => {
    const el = scroller.current!;
    const fit = () => setColumns(Math.max(1, Math.floor((el.clientWidth - 8) / SPOOL_W)));
    fit();
    const seen = new ResizeObserver(fit);
    seen.observe(el);
    return () => seen.disconnect();
  }, []);
  const rows = Math.ceil(cones.length / columns);
  const virtual = useVirtualizer({
    count: rows,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_H,
    overscan: 1,
    initialRect: { width: 1240, height: 560 },
  });
  const at = Math.min(focused, Math.max(0, cones.length - 1));
  const onKeyDown = (e: React.KeyboardEvent) => {
    const step = {
      ArrowRight: 1,
      ArrowLeft: -1,
      ArrowDown: columns,
      ArrowUp: -columns,
      Home: -at,
      End: cones.length,
    }[e.key];
    if (step !== undefined) {
      e.preventDefault();
      const to = Math.max(0, Math.min(cones.length - 1, at + step));
      setFocused(to);
      virtual.scrollToIndex(Math.floor(to / columns));
      requestAnimationFrame(() =>
        scroller.current?.querySelector<HTMLElement>(`[data-cone="${to}"]`)?.focus(),
      );
    } else if (e.key === ' ' && cones[at]) {
      e.preventDefault();
      onPick(cones[at].id);
    }
  };
  return (
    <div
      ref={scroller}
      onKeyDown={onKeyDown}
      role="group"
      aria-label={`Shelves, ${cones.length} cones; arrows move, Space picks, Enter opens`}
      className="h-[calc(100dvh-250px)] min-h-[340px] overflow-auto"
    >
      <div style={{ height: virtual.getTotalSize(), position: 'relative' }}>
        {virtual.getVirtualItems().map((row) => (
          <div
            key={row.key}
            className="absolute left-0 grid w-full"
            style={{
              transform: `translateY(${row.start}px)`,
              height: ROW_H,
              gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
            }}
          >
            <span aria-hidden className="absolute top-[94px] right-0 left-0 h-2 bg-[#8a6547]" />
            {cones.slice(row.index * columns, (row.index + 1) * columns).map((c, i) => {
              const index = row.index * columns + i;
              const on = picked.has(c.id);
              const low = c.remainingM !== null && c.remainingM < lowM;
              const full = c.fullM ?? 5000;
              return (
                <button
                  key={c.id}
                  type="button"
                  data-cone={index}
                  tabIndex={index === at ? 0 : -1}
                  aria-pressed={on}
                  onFocus={() => setFocused(index)}
                  onClick={(e) => (e.shiftKey || e.ctrlKey || e.metaKey ? onPick(c.id) : onOpen(c))}
                  className="relative min-w-0 px-1.5 pt-1 text-left focus-visible:z-10"
                >
                  <SpoolGlyph
                    width={70}
                    height={90}
                    bands={[{ hex: c.hex ?? CLEAR, share: 1 }]}
                    fill={c.remainingM === null ? 1 : Math.min(1, c.remainingM / full)}
                  />
                  {on && (
                    <span
                      aria-hidden
                      className="absolute top-1 right-2 grid size-6 place-items-center rounded bg-indigo text-on-act"
                    >
                      <Check size={16} />
                    </span>
                  )}
                  <span className="mt-2.5 block truncate text-[14px] leading-tight font-semibold">
                    {c.colour}
                  </span>
                  <span className="block truncate text-13 leading-tight text-ink2">{c.line}</span>
                  <span
                    className={`block truncate text-13 leading-tight ${low ? 'font-semibold text-madder' : 'text-ink2'}`}
                  >
                    {c.remainingM === null
                      ? 'not counted'
                      : `${Math.round(c.remainingM)} m${low ? ', low' : ''}`}
                  </span>
                  <span className="sr-only">{on ? ', picked' : ''}</span>
                </button>
              );
            })}
          </div>
        ))}
      </div>
    </div>
  );
}
