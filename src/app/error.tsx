'use client';
import { Button } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <Empty
      title="This page could not be read"
      act={
        <Button look="act" onClick={reset}>
          Try again
        </Button>
      }
    >
      Nothing you stored is lost. If it happens again, see whether the program is still running.
    </Empty>
  );
}
