import type { Caution } from '@/core/notes';
import { ButtonLink } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Empty } from '@/ui/kit/Empty';

/** Nothing the studio owns suits a zone or a quilt: why, and the way to the shelf. */
export function NothingSuits({ what, cautions }: { what: 'zone' | 'quilt'; cautions: readonly Caution[] }) {
  return (
    <Empty
      title={`Nothing on the shelf suits this ${what}`}
      act={
        <ButtonLink look="act" href="/shelf">
          See the shelf
        </ButtonLink>
      }
    >
      {cautions.map((c) => (
        <CautionLine key={c.text} caution={c} />
      ))}
    </Empty>
  );
}
