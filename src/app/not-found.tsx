import { ButtonLink } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';

export default function NotFound() {
  return (
    <Empty
      title="Nothing hangs here"
      act={
        <ButtonLink look="act" href="/">
          To the Rack
        </ButtonLink>
      }
    >
      This page, or this quilt, is not in the studio. It may have been an old address.
    </Empty>
  );
}
