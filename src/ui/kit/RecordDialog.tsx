'use client';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';
import type { RecordModal } from './RecordModal';

/** A record's form in a dialog; what it needs comes when it is first opened. */
export const RecordDialog = dynamic(() =>
  patiently(() => import('./RecordModal')).then((m) => m.RecordModal),
) as typeof RecordModal;
