'use client';
import dynamic from 'next/dynamic';
import type { RecordModal } from './RecordModal';

/** A record's form in a dialog; what it needs comes when it is first opened. */
export const RecordDialog = dynamic(() =>
  import('./RecordModal').then((m) => m.RecordModal),
) as typeof RecordModal;
