import { addDays, format } from 'date-fns';
import { readBattings, readFabrics } from '@/data/cloths';
import { readMachines } from '@/data/machines';
import { readClientNames } from '@/data/quilts';
import { db } from '@/data/sql';
import { ButtonLink } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';
import { TakeInForm } from '@/ui/take-in/TakeInForm';

export const metadata = { title: 'Take in' };

export default async function TakeInPage() {
  const [fabrics, battings, machines, clients] = await Promise.all([
    readFabrics(db()),
    readBattings(db()),
    readMachines(db()),
    readClientNames(db()),
  ]);
  if (machines.length === 0)
    return (
      <Empty
        title="First, your machine"
        act={
          <ButtonLink look="act" href="/workroom/machine">
            Add a machine
          </ButtonLink>
        }
      >
        A quilt is planned for the machine and frame it goes on. Say what yours can do, then take the quilt
        in.
      </Empty>
    );
  return (
    <TakeInForm
      fabrics={fabrics}
      battings={battings}
      machines={machines}
      clients={clients}
      usualDue={format(addDays(new Date(), 21), 'yyyy-MM-dd')}
    />
  );
}
