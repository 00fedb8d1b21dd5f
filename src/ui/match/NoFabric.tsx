import { ButtonLink } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';

/** Why nothing can be said of what to quilt yet: there is no zone, or nobody said what lies in one. */
export function NoFabric({
  quiltId,
  zone,
  bare,
}: {
  quiltId: string;
  zone: object | undefined;
  /** Zones without a fabric. */
  bare: readonly { letter: string }[];
}) {
  return (
    <Empty
      title={zone ? 'A zone has no fabric' : 'No zones yet'}
      act={
        <ButtonLink href={`/quilts/${quiltId}/${zone ? 'take-in' : 'map'}`}>
          {zone ? 'Take in' : 'Draw the map'}
        </ButtonLink>
      }
    >
      {zone
        ? `Say at Take in which fabric lies in ${bare.map((z) => z.letter).join(', ')}.`
        : 'Draw the zones of this quilt on its map first.'}
    </Empty>
  );
}
