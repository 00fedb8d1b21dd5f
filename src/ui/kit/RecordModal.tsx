'use client';
import { Modal } from './Modal';
import { RecordForm } from './RecordForm';

/** A record's form in a dialog. */
export function RecordModal<T>({
  title,
  about,
  onClose,
  wide,
  ...form
}: Parameters<typeof RecordForm<T>>[0] & {
  title: string;
  about: string;
  onClose: () => void;
  wide?: boolean;
}) {
  return (
    <Modal open onOpenChange={(open) => !open && onClose()} title={title} about={about} wide={wide}>
      <RecordForm {...form} />
    </Modal>
  );
}
