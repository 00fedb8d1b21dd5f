'use client';
import { useRouter } from 'next/navigation';
import { AddPhotograph } from '@/ui/test-strip/AddPhotograph';

/** Keeps a photograph of the finished quilt, and shows it. */
export function KeepPhotograph({ quiltId }: { quiltId: string }) {
  const router = useRouter();
  return (
    <AddPhotograph
      ofId={quiltId}
      moment="hand-back"
      label="Add a photograph"
      onKept={() => router.refresh()}
    />
  );
}
