import { ButtonLink } from '@/ui/kit/Button';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';

export const metadata = { title: 'Sheets' };

const SHEETS = [
  ['loading', 'Loading sheet', 'Sizes, layers, which side goes where, passes and their depths.'],
  ['order', 'Order of work', 'Pass by pass and thread by thread, with room to tick.'],
  ['cards', 'Setting cards', 'One zone a card, eight to a sheet, to read at arm’s length.'],
  ['route', 'Way round', 'Ditch, outlines and arcs without lifting, pass by pass.'],
  ['marking', 'Marking strip', 'A border’s ticks at full size, to lay on the fabric.'],
  ['offer', 'Offer', 'What it will cost, line by line, on one page.'],
  ['client', 'Client’s sheet', 'What was used, how it came out, how to wash and iron it.'],
] as const;

export default async function SheetsPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  return (
    <QuiltFrame view={view} machine={machine} step="quilt" zoneId={zone?.id} page="quilt">
      <h2 className="text-24">Sheets to print</h2>
      <ul className="mt-2 border-t-2 border-ink">
        {SHEETS.map(([id, title, about]) => (
          <li key={id} className="flex min-h-[64px] items-center gap-4 border-b">
            <span className="flex-1">
              <b className="font-semibold">{title}</b>
              <br />
              <span className="text-ink2">{about}</span>
            </span>
            <ButtonLink href={id === 'marking' ? '/marking-strip' : `/quilts/${view.quilt.id}/sheets/${id}`}>
              Open
            </ButtonLink>
          </li>
        ))}
      </ul>
    </QuiltFrame>
  );
}
