'use client';
import { useRouter } from 'next/navigation';
import { startTransition } from 'react';
import { Button } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';

export default function ErrorPage({
  error,
  reset,
}: {
  error: Error & { digest?: string };
  reset: () => void;
}) {
  const router = useRouter();
  const again = () =>
    startTransition(() => {
      router.refresh();
      reset();
    });
  return (
    <Empty
      title="This page could not be read"
      act={
        <Button look="act" onClick={again}>
          Try again
        </Button>
      }
    >
      Nothing you stored is lost. If it happens again, see whether the program is still running
      {error.digest ? `, and quote ${error.digest}` : ''}.
    </Empty>
  );
}
