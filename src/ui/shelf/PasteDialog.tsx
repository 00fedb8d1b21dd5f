'use client';
import { useRouter } from 'next/navigation';
import { useDeferredValue, useMemo, useState } from 'react';
import type { Imported } from '@/actions/exchange';
import { doors } from '@/actions/doors';
import { guessMapping } from '@/core/exchange/columns';
import { CONE_HEADER, conesFromLines } from '@/core/exchange/cones-from-lines';
import { Button } from '@/ui/kit/Button';
import { TextArea } from '@/ui/kit/Field';
import { Modal } from '@/ui/kit/Modal';
import { Problems } from '@/ui/kit/Problems';
import { sendFile } from '@/ui/kit/send-file';
import { toast } from '@/ui/kit/toast';
import { newKey, useActionForm } from '@/ui/kit/use-action-form';

const sendRows = sendFile<Imported>('/import/rows');
const HEADER = [...CONE_HEADER];

/** Many labels at once, one to a line, read as they are typed. */
export function PasteDialog({ onClose }: { onClose: () => void }) {
  const [text, setText] = useState('');
  const read = useDeferredValue(text);
  const lines = useMemo(() => conesFromLines(read), [read]);
  const rows = lines.flatMap((l) => (l.row ? [l.row] : []));
  const router = useRouter();
  const { send, pending, problems } = useActionForm(sendRows, (done) => {
    router.refresh();
    toast(`${done.stored} on the shelf${done.left > 0 ? `, ${done.left} there already` : ''}.`, {
      duration: 20_000,
      action: {
        label: 'Undo',
        onClick: () =>
          void doors.undoImport({ key: newKey(), batchId: done.batchId }).then((r) => {
            router.refresh();
            toast(r.ok ? `Undone: ${r.value.removed} removed.` : r.problems[0]!.message);
          }),
      },
    });
    onClose();
  });
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onClose()}
      title="Paste labels"
      about="One cone a line."
      wide
    >
      <form
        className="mt-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (!pending && rows.length > 0)
            send({
              kind: 'cones',
              fileName: 'labels typed in',
              header: HEADER,
              mapping: guessMapping('cones', HEADER),
              rows,
              decimal: '.',
              take: 'good',
            });
        }}
      >
        <TextArea
          id="labels"
          label="Labels, one cone a line"
          hint="fibre, size, colour, length"
          rows={7}
          placeholder={'Poly 40 white 5000 m\nCotton 50/3 cream 1200 yd\nClear nylon 0.004 in'}
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        {lines.length > 0 && (
          <ul aria-label="Understood as" className="mt-2 max-h-[34vh] overflow-auto border-t">
            {lines.map((l, i) => (
              <li key={i} className="flex flex-wrap items-center gap-x-3 border-b py-1">
                <i
                  aria-hidden
                  className="inline-block size-5 border"
                  style={{ background: l.row?.[2] || 'transparent' }}
                />
                <b className="font-semibold">{l.text}</b>
                <span className={l.row ? 'text-ink2' : 'font-medium text-madder'}>= {l.words}</span>
              </li>
            ))}
          </ul>
        )}
        <Problems problems={problems} />
        <div className="mt-3 flex gap-3">
          <Button look="act" type="submit" disabled={pending || rows.length === 0}>
            {rows.length === 0 ? 'Add' : `Add ${rows.length} ${rows.length === 1 ? 'cone' : 'cones'}`}
          </Button>
          <Button onClick={onClose}>Cancel</Button>
        </div>
      </form>
    </Modal>
  );
}
