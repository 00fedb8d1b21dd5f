'use client';
import { format } from 'date-fns';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import type { Device } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { RecordDialog } from '@/ui/kit/RecordDialog';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';
import { OnceLink } from './OnceLink';

/** Tablets and phones: let in by a code, named, and ended when one is lost. */
export function DevicesPart({
  devices,
  address,
  beyond,
  fingerprint,
  isOwner,
}: {
  devices: readonly Device[];
  address: string;
  beyond: boolean;
  fingerprint: string | null;
  isOwner: boolean;
}) {
  const [dialog, setDialog] = useState<'pair' | Device | null>(null);
  const [link, setLink] = useState<{ path: string; expiresAt: string } | null>(null);
  const end = useActionForm(doors.endDevice, () => toast('It comes in no more. What it had sent stays.'));
  return (
    <section aria-label="Devices">
      <h2 className="border-t-2 border-ink pt-2 text-20">Tablets and phones</h2>
      {!beyond && (
        <p className="font-medium text-weld-text">
          Only this computer reaches the studio now. Start it for other devices with a passphrase:
          HOST=0.0.0.0 ./start
        </p>
      )}
      <ul className="mt-1">
        {devices.map((d) => (
          <li key={d.id} className="flex min-h-14 flex-wrap items-center gap-x-4 border-b py-1">
            <span className="min-w-[180px] flex-1">
              <b className="font-semibold">{d.name}</b>
              <span className="block text-13 text-ink2">
                paired by {d.person} {format(d.pairedAt, 'd MMM')}; last seen{' '}
                {format(d.lastSeenAt, 'd MMM HH:mm')}
              </span>
            </span>
            <Button look="quiet" onClick={() => setDialog(d)} aria-label={`Rename ${d.name}`}>
              Rename
            </Button>
            {isOwner && (
              <Button
                look="quiet"
                disabled={end.pending}
                onClick={() => end.send({ id: d.id })}
                aria-label={`${d.name} is lost: end it`}
              >
                Lost
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Problems problems={end.problems} />
      {link && (
        <OnceLink
          title="Read this with the device’s camera"
          url={`${address}${link.path}`}
          until={link.expiresAt}
          note="It works once, within ten minutes, and signs the device in as you. The page that opens says how the device learns to trust this studio."
          onClose={() => setLink(null)}
        />
      )}
      <div className="mt-3">
        <Button onClick={() => setDialog('pair')}>Pair a device</Button>
      </div>
      {fingerprint && (
        <p className="mt-2 text-13 text-ink2">
          Fingerprint of the studio’s own authority (SHA-256), the same on every device that trusts it:{' '}
          <code className="break-all">{fingerprint}</code>
        </p>
      )}
      {dialog && (
        <RecordDialog
          title={dialog === 'pair' ? 'Pair a device' : 'Rename it'}
          about=""
          onClose={() => setDialog(null)}
          specs={[{ name: 'name', label: 'What it is called', kind: 'text', hint: 'tablet at the Stand' }]}
          initial={dialog === 'pair' ? {} : { name: dialog.name }}
          fixed={dialog === 'pair' ? {} : { id: dialog.id, version: dialog.version }}
          act={(dialog === 'pair' ? doors.pairDevice : doors.renameDevice) as typeof doors.pairDevice}
          onDone={(v) => {
            if (dialog === 'pair') setLink(v);
            setDialog(null);
          }}
          submit={dialog === 'pair' ? 'Show the code' : 'Save'}
        />
      )}
    </section>
  );
}
