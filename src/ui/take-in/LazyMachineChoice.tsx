'use client';
import dynamic from 'next/dynamic';

/** Asked for only where a studio has several machines. */
export const LazyMachineChoice = dynamic(() => import('./MachineChoice').then((m) => m.MachineChoice));
