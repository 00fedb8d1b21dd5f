import { ask } from '@/actions/queries';
import { isUUID } from 'class-validator';
import { notFound } from 'next/navigation';

export interface QuiltPageProps {
  params: Promise<{ id: string }>;
  searchParams: Promise<{
    zone?: string;
    topId?: string;
    nm?: string;
    spi?: string;
    part?: string;
    round?: string;
    q?: string;
    bobbinId?: string;
    letter?: string;
  }>;
}

/** What every page of a quilt reads: the quilt, its machine, and the zone picked (the first when none is). Match asks for the whole shelf. */
export async function readQuiltPage(
  { params, searchParams }: QuiltPageProps,
  shelfOf: 'whole studio' | 'its cards' = 'its cards',
) {
  const [{ id }, { zone: wanted }] = await Promise.all([params, searchParams]);
  const view = isUUID(id) ? await ask.readQuiltView(id, shelfOf) : null;
  if (!view) notFound();
  const machine = await ask.readMachine(view.quilt.machineId);
  const zone = view.zones.find((z) => z.id === wanted) ?? view.zones[0];
  return { view, machine, zone };
}
