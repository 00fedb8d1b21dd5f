'use client';
import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';

export interface SortRow {
  id: string;
  /** What is moved, for those who do not see it. */
  name: string;
  content: React.ReactNode;
}

/** A list to be laid in another order: each row dragged, or moved with space and the arrows. */
export function SortList({
  label,
  rows,
  onMove,
}: {
  label: string;
  rows: readonly SortRow[];
  onMove: (from: number, to: number) => void;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = rows.map((r) => r.id);
  const drop = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id) onMove(ids.indexOf(String(active.id)), ids.indexOf(String(over.id)));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ol className="mt-2 border-y" aria-label={label}>
          {rows.map((r) => (
            <Row key={r.id} row={r} />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function Row({ row }: { row: SortRow }) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: row.id,
  });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={`flex min-h-11 items-center gap-3 border-b bg-cloth ${isDragging ? 'relative z-10 outline-2 outline-indigo outline-solid' : ''}`}
    >
      <button
        type="button"
        aria-label={`Move ${row.name}`}
        className="grid size-11 shrink-0 cursor-grab touch-none place-items-center text-ink2"
        {...attributes}
        {...listeners}
      >
        <GripVertical size={18} aria-hidden />
      </button>
      {row.content}
    </li>
  );
}
