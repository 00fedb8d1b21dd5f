import { drawZone, repeatShape } from '@/core/geometry/edit';
import { boundsOf, type MultiPolygon } from '@/core/geometry/polygon';
import { CoreError } from '@/core/notes';
import { RecordDialog } from '@/ui/kit/RecordDialog';
import type { DrawnZone } from './MapCanvas';
import type { MapEdit, MapQuilt } from './use-map-editor';

/** A zone’s shape again and again, across and down. */
export function RepeatDialog({
  one,
  edit,
  quilt,
  onClose,
}: {
  one: DrawnZone;
  edit: MapEdit;
  quilt: MapQuilt;
  onClose: () => void;
}) {
  return (
    <RecordDialog
      title={`Repeat ${one.name}`}
      about="The same shape in columns and rows, together one zone, laid over what is there."
      onClose={onClose}
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
        const others = edit.history.now.filter((z) => z.id !== one.id);
        try {
          edit.put(
            drawZone(others, shape, quilt, { id: one.id, letter: '', name: one.name }).map((z) =>
              z.id === one.id ? { ...z, hex: one.hex } : z,
            ),
          );
        } catch (error) {
          if (error instanceof CoreError) edit.setSaid(error.message);
        }
        onClose();
      }}
      submit="Repeat it"
    />
  );
}

const pitch = (shape: MultiPolygon, axis: 'x' | 'y') => {
  const b = boundsOf(shape);
  return Math.ceil(axis === 'x' ? b.x1 - b.x0 : b.y1 - b.y0) + 2;
};
