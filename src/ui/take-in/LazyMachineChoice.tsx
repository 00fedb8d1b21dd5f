'use client';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';

/** Asked for only where a studio has several machines. */
export const LazyMachineChoice = dynamic(() =>
  patiently(() => import('./MachineChoice')).then((m) => m.MachineChoice),
);
