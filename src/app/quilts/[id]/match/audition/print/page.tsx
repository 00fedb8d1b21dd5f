import { notFound } from 'next/navigation';
import { ask } from '@/actions/queries';
import { drawWay } from '@/core/audition/way';
import { PATTERNED } from '@/core/pattern/lay';
import { fullSize } from '@/core/audition/full-size';
import { attempt } from '@/core/notes';
import { PAPERS } from '@/core/ruler/marking-strip';
import { techniques } from '@/core/tables/techniques';
import { FullSizeSheets } from '@/ui/audition/FullSizeSheets';
import { ButtonLink } from '@/ui/kit/Button';
import { Link } from '@/ui/kit/Link';
import { PrintButton } from '@/ui/print/PrintButton';
import { readQuiltPage, type QuiltPageProps } from '../../../quilt-page';

export const metadata = { title: 'At full size' };

type Asked = Partial<Record<'technique' | 'look' | 'spacing' | 'seed' | 'paper' | 'pattern', string>>;

/** A zone's quilting printed at full size, to lay on the fabric. */
export default async function FullSizePage(props: QuiltPageProps) {
  const { view, zone } = await readQuiltPage(props);
  const asked = (await props.searchParams) as Asked;
  const { technique = '', look = '' } = asked;
  if (!zone || !techniques.find(technique)) notFound();
  const patterns = technique === PATTERNED ? await ask.readPatterns() : [];
  const pattern = patterns.find((p) => p.id === asked.pattern);
  const paper = asked.paper === 'letter' ? 'letter' : 'a4';
  // Of pieces that are alike one is enough.
  const shape = [zone.geometry[0]!];
  const drawn = attempt(() =>
    drawWay({
      shape,
      unit: pattern?.unit,
      technique,
      look,
      spacingIn: Number(asked.spacing),
      seed: Number(asked.seed) || 1,
    }),
  );
  const back = `/quilts/${view.quilt.id}/match/audition?zone=${zone.id}`;
  const other = paper === 'a4' ? 'letter' : 'a4';
  const size = PAPERS[paper];
  if (typeof drawn === 'string') return <p className="p-6">{drawn}</p>;
  const cut = fullSize(shape, drawn.lines, size);
  const name = `${view.quilt.name}, ${zone.letter} ${zone.name}`;
  const query = new URLSearchParams({ ...asked, zone: zone.id, paper: other });
  return (
    <div className="px-6 pt-4 pb-10 print:p-0">
      <style>{`@media print { @page { size: ${paper === 'a4' ? 'A4' : 'letter'} landscape; margin: ${size.marginMm}mm } }`}</style>
      <div className="print:hidden">
        <h1 className="text-24">
          {pattern?.name ?? techniques.get(technique).label} at full size: {name}
        </h1>
        <p className="mt-2">
          {cut.sheets.length} {cut.sheets.length === 1 ? 'sheet' : 'sheets'} of{' '}
          {paper === 'a4' ? 'A4' : 'letter'} paper
          {zone.geometry.length > 1 && `, one of ${zone.geometry.length} pieces`}. Print at 100 %, not fitted
          to the page; measure the 5 cm line, then lay cross on cross.
        </p>
        <p className="mt-3 flex flex-wrap items-center gap-4">
          <PrintButton />
          <Link href={`?${query}`}>{other === 'a4' ? 'On A4' : 'On letter paper'}</Link>
          <ButtonLink look="quiet" href={back}>
            Back
          </ButtonLink>
        </p>
      </div>
      <FullSizeSheets cut={cut} name={name} />
    </div>
  );
}
