'use client';
import { Button } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';

export default function ErrorPage({ error }: { error: Error & { digest?: string } }) {
  // A page that failed on the server is asked for anew, whole: that works as soon as the database is back.
  const again = () => window.location.reload();
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
