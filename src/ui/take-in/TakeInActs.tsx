'use client';
import dynamic from 'next/dynamic';
import { type ComponentProps, useState } from 'react';
import type { Client } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { patiently } from '@/ui/kit/patiently';
import type { CorrectDialog as Correct } from './CorrectDialog';
import type { Withdrawn } from './WithdrawDialog';

// Each dialog comes when it is first opened.
const CorrectDialog = dynamic(() => patiently(() => import('./CorrectDialog')).then((m) => m.CorrectDialog));
const ClientDialog = dynamic(() => patiently(() => import('./ClientDialog')).then((m) => m.ClientDialog));
const WithdrawDialog = dynamic(() =>
  patiently(() => import('./WithdrawDialog')).then((m) => m.WithdrawDialog),
);

export function EditQuilt(props: Omit<ComponentProps<typeof Correct>, 'onClose'>) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>Edit</Button>
      {open && <CorrectDialog {...props} onClose={() => setOpen(false)} />}
    </>
  );
}

export function EditClient({ client }: { client: Client }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>Edit client</Button>
      {open && <ClientDialog client={client} onClose={() => setOpen(false)} />}
    </>
  );
}

export function WithdrawQuilt({ quilt }: { quilt: Withdrawn }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look="quiet" onClick={() => setOpen(true)}>
        Withdraw
      </Button>
      {open && <WithdrawDialog quilt={quilt} onClose={() => setOpen(false)} />}
    </>
  );
}
