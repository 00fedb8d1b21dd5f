import { ask } from '@/actions/queries';
import { coneName } from '@/actions/zone-brief';
import { CompareScreen } from '@/ui/compare/CompareScreen';
import { ButtonLink } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';

export const metadata = { title: 'Compare threads' };
const MOST = 6;

export default async function ComparePage({ searchParams }: { searchParams: Promise<{ ids?: string }> }) {
  const ids = [...new Set(((await searchParams).ids ?? '').split(','))].slice(0, MOST);
  const cones = await ask.conesById(ids);
  if (cones.length < 2)
    return (
      <Empty
        title="Pick two to six cones"
        act={
          <ButtonLink look="act" href="/shelf">
            To the shelf
          </ButtonLink>
        }
      >
        Pick cones on the shelf with Space, or in its table, and press Compare: they lie side by side to
        scale.
      </Empty>
    );
  return <CompareScreen cones={cones.map((c) => ({ ...c, name: coneName(c) }))} />;
}
