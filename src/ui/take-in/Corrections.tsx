'use client';
import { doors } from '@/actions/doors';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';

export interface ShownCorrection {
  id: string;
  when: string;
  who: string | null;
  /** Each field: what it was and what it is. */
  changed: { label: string; from: string; to: string }[];
  said: string[];
  undone: boolean;
}

/** Every correction of a quilt, newest first, each to be undone or put back. */
export function Corrections({ list }: { list: readonly ShownCorrection[] }) {
  return (
    <ol>
      {list.map((c) => (
        <Row key={c.id} c={c} />
      ))}
    </ol>
  );
}

function Row({ c }: { c: ShownCorrection }) {
  const { send, pending, problems } = useActionForm(doors.undoCorrection, ({ said }) =>
    toast([c.undone ? 'Put back.' : 'Undone.', ...said].join(' ')),
  );
  return (
    <li className="flex flex-wrap items-center gap-x-4 border-b py-1">
      <span className="w-16 text-ink2">
        {c.when}
        {c.who && <span className="block text-13">{c.who}</span>}
      </span>
      <span className={`min-w-0 flex-1 ${c.undone ? 'text-ink2 line-through' : ''}`}>
        {c.changed.map((f) => (
          <span key={f.label} className="mr-4">
            <b className="font-semibold">{f.label}</b> {f.from || 'nothing'} → {f.to || 'nothing'}
          </span>
        ))}
      </span>
      <Button
        look="quiet"
        disabled={pending}
        onClick={() => send({ correctionId: c.id, way: c.undone ? 'redo' : 'undo' })}
      >
        {c.undone ? 'Put back' : 'Undo'}
      </Button>
      <div className="w-full">
        <Problems problems={problems} fields={[]} />
      </div>
    </li>
  );
}
