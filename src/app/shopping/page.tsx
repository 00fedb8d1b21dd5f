import { ask } from '@/actions/queries';
import { Empty } from '@/ui/kit/Empty';
import { ButtonLink } from '@/ui/kit/Button';
import { ShoppingList } from '@/ui/shopping/ShoppingList';

export const metadata = { title: 'Shopping and winding' };

/** What is to be bought, wound or cut for everything that waits, by the day it is needed. */
export default async function ShoppingPage() {
  const lines = await ask.readShopping(new Date());
  if (!lines)
    return (
      <Empty
        title="No studio yet"
        act={
          <ButtonLink look="act" href="/workroom/machine">
            Your machine
          </ButtonLink>
        }
      >
        Once quilts wait, what they lack stands here.
      </Empty>
    );
  return <ShoppingList lines={lines} />;
}
