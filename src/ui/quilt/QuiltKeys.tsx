'use client';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';
import { useRouter } from 'next/navigation';
import { useState, useLayoutEffect } from 'react';
import type { Fault, Zone } from '@/data/types';
import type { FaultQuilt } from '@/ui/faults/FaultDialog';
import { Button } from '@/ui/kit/Button';

// Dialogs come when they are first opened, so that the page itself stays light.
const FaultDialog = dynamic(() =>
  patiently(() => import('@/ui/faults/FaultDialog')).then((m) => m.FaultDialog),
);
const Modal = dynamic(() => patiently(() => import('@/ui/kit/Modal')).then((m) => m.Modal));

const KEYS: readonly (readonly [string, string])[] = [
  ['1 to 5', 'the steps of the quilt'],
  ['[ and ]', 'zone before, zone after'],
  ['T', 'to the test strip of this zone'],
  ['F', 'note a fault'],
  ['?', 'these keys'],
];

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** The keys of a quilt's pages, the fault button, and their dialogs. Single letters are off while typing. */
export function QuiltKeys(props: {
  quilt: FaultQuilt;
  zones: Zone[];
  zoneId?: string;
  page: string;
  stepHrefs: readonly (string | null)[];
  faults: Fault[];
}) {
  const { quilt, zones, zoneId, page, stepHrefs } = props;
  const router = useRouter();
  const [fault, setFault] = useState(false);
  const [help, setHelp] = useState(false);

  // In place as soon as the page is seen: a key struck at once is not lost.
  useLayoutEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || typing(e.target) || document.querySelector('[role=dialog]'))
        return;
      const step = stepHrefs[Number(e.key) - 1];
      const at = zones.findIndex((z) => z.id === zoneId);
      const go = (index: number) => {
        const zone = zones[(index + zones.length) % zones.length];
        if (zone) router.push(`/quilts/${quilt.id}/${page}?zone=${zone.id}`, { scroll: false });
      };
      if (step) router.push(step);
      else if (e.key === '[') go(at - 1);
      else if (e.key === ']') go(at + 1);
      else if (e.key === 't' || e.key === 'T')
        router.push(`/quilts/${quilt.id}/test${zoneId ? `?zone=${zoneId}` : ''}`);
      else if (e.key === 'f' || e.key === 'F') setFault(true);
      else if (e.key === '?') setHelp(true);
      else return;
      e.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [router, quilt.id, zones, zoneId, page, stepHrefs]);

  return (
    <>
      <div className="fixed bottom-0 left-0 z-30 flex w-full gap-2 sm:w-[236px] border-t bg-ground px-4 py-3 xl:w-[300px] print:hidden">
        <Button look="quiet" onClick={() => setFault(true)} aria-keyshortcuts="F">
          Note a fault <kbd className="rounded border px-1.5 text-13 text-ink2">F</kbd>
        </Button>
        <Button look="quiet" onClick={() => setHelp(true)} aria-label="All keys" className="!px-3">
          ?
        </Button>
      </div>
      {fault && <FaultDialog quilt={quilt} zones={zones} zoneId={zoneId} onClose={() => setFault(false)} />}
      {help && (
        <Modal open onOpenChange={setHelp} title="Keys" about="Single letters rest while you type.">
          <dl className="mt-4 grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
            {KEYS.map(([key, act]) => (
              <div key={key} className="contents">
                <dt>
                  <kbd className="rounded border bg-ground px-2 py-0.5">{key}</kbd>
                </dt>
                <dd>{act}</dd>
              </div>
            ))}
          </dl>
        </Modal>
      )}
    </>
  );
}
