'use client';
import { type ReactNode, useMemo, useState } from 'react';
import type { Field } from '@/core/fields/field';
import { usualValues } from '@/core/fields/stored';
import { Button } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';
import { formFields } from '@/ui/kit/form-fields';
import { HeadRow } from '@/ui/kit/HeadRow';
import { RecordDialog } from '@/ui/kit/RecordDialog';
import { RowActs } from './RowActs';

interface Thing {
  id: string;
  name: string;
  version: number;
}
type Dialog = Parameters<typeof RecordDialog>[0];

/** What one kind of thing of the workroom is called, asks for and shows. */
export interface ThingKind<T extends Thing> {
  kind: Parameters<typeof RowActs>[0]['kind'];
  title: string;
  /** The word for one of them: “ruler”. */
  one: string;
  fields: readonly Field[];
  /** How to find out what is asked for; in the dialog, and where there is none yet. */
  about: string;
  none: ReactNode;
  columns: string[];
  /** Its cells but the last, which says what can be done with it. */
  cells: (thing: T) => ReactNode;
  keep: Dialog['act'];
  aside?: Dialog['aside'];
}

/** The things of one kind, a line each; added, changed and put away. */
export function KeptThings<T extends Thing>(props: { of: ThingKind<T>; things: T[]; caution?: ReactNode }) {
  const { of, things, caution } = props;
  const [editing, setEditing] = useState<T | 'new' | null>(null);
  const add = (
    <Button look="act" onClick={() => setEditing('new')}>
      Add a {of.one}
    </Button>
  );
  return (
    <section aria-label={of.title} className="mt-4">
      <div className="flex items-center border-t-2 border-ink pt-2">
        <h2 className="flex-1 text-20">{of.title}</h2>
        {things.length > 0 && add}
      </div>
      {caution && <p className="mt-2 max-w-[760px]">{caution}</p>}
      {things.length === 0 ? (
        <Empty title={`No ${of.one} yet`} act={add}>
          {of.none}
        </Empty>
      ) : (
        <table className="mt-2 w-full max-w-[960px]">
          <HeadRow names={of.columns} />
          <tbody>
            {things.map((t) => (
              <tr key={t.id} className="border-t">
                {of.cells(t)}
                <td className="text-right whitespace-nowrap">
                  <RowActs kind={of.kind} id={t.id} name={t.name} onChange={() => setEditing(t)} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {editing && (
        <ThingDialog of={of} thing={editing === 'new' ? null : editing} onClose={() => setEditing(null)} />
      )}
    </section>
  );
}

function ThingDialog<T extends Thing>(props: { of: ThingKind<T>; thing: T | null; onClose: () => void }) {
  const { of, thing, onClose } = props;
  const specs = useMemo(() => formFields(of.fields), [of.fields]);
  return (
    <RecordDialog
      title={thing ? thing.name : `Add a ${of.one}`}
      about={of.about}
      onClose={onClose}
      specs={specs}
      initial={thing ?? usualValues(of.fields)}
      fixed={thing ? { id: thing.id, version: thing.version } : { version: 0 }}
      act={of.keep}
      onDone={onClose}
      submit={`Keep this ${of.one}`}
      aside={of.aside}
    />
  );
}
