import { ask } from '@/actions/queries';
import { Link } from '@/ui/kit/Link';
import { zoneRequest } from '@/actions/match-sources';
import { coneName } from '@/actions/zone-brief';
import { fabrics } from '@/core/tables/fabrics';
import { DescribeCloth } from '@/ui/cloth/DescribeCloth';
import { Empty } from '@/ui/kit/Empty';
import { MatchNav } from '@/ui/match/MatchNav';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../../quilt-page';

export const metadata = { title: 'Unknown fabric' };

export default async function ClothPage(
  props: QuiltPageProps & { searchParams: Promise<{ cloth?: string }> },
) {
  const { view, machine, zone } = await readQuiltPage(props, 'whole studio');
  const { quilt, shelf } = view;
  const sources = await ask.readOwnMatchSources();
  const asked = Number((await props.searchParams).cloth);
  const cloths = zone?.fabrics ?? [];
  const unknown = cloths.findIndex((f) => f.kind === 'unknown');
  const position = cloths[asked] ? asked : Math.max(0, unknown);
  const cloth = cloths[position];
  const elsewhere =
    unknown >= 0
      ? []
      : view.zones.filter((z) => z.id !== zone?.id && z.fabrics.some((f) => f.kind === 'unknown'));
  return (
    <QuiltFrame view={view} machine={machine} step="match" zoneId={zone?.id} page="match/cloth">
      <MatchNav quiltId={quilt.id} zoneId={zone?.id} here="/cloth" />
      {!zone || !cloth ? (
        <Empty title={zone ? 'No fabric in this zone' : 'No zones yet'}>
          {zone
            ? 'Say at Take in which fabric lies here; “unknown” is a proper choice.'
            : 'Draw the zones of this quilt on its map first.'}
        </Empty>
      ) : (
        <>
          <div className="mt-2.5 flex flex-wrap items-center gap-x-3.5 gap-y-1">
            <h2 className="text-24">{cloth.name}</h2>
            <p className="min-w-0 flex-1 text-ink2">
              zone {zone.letter}, {zone.name} ·{' '}
              {cloth.kind === 'unknown'
                ? 'nobody knows this fabric yet: describe it by hand and eye'
                : `kept as ${fabrics.get(cloth.kind).label}; describe it to see what else it may be`}
            </p>
            {cloths.length > 1 &&
              cloths.map((c, i) => (
                <Link
                  key={i}
                  href={`?zone=${zone.id}&cloth=${i}`}
                  aria-current={i === position ? 'true' : undefined}
                  className={`inline-flex min-h-11 items-center gap-2 rounded border px-2.5 ${i === position ? 'border-indigo bg-indigo-tint' : 'border-rule'}`}
                >
                  <i className="size-5 border" style={{ background: c.hex ?? 'transparent' }} aria-hidden />
                  {c.name}
                </Link>
              ))}
          </div>
          {elsewhere.length > 0 && (
            <p className="mt-1">
              A fabric nobody knows lies in{' '}
              {elsewhere.map((z, i) => (
                <span key={z.id}>
                  {i > 0 && ', '}
                  <Link href={`?zone=${z.id}`} className="text-indigo underline underline-offset-2">
                    zone {z.letter}, {z.name}
                  </Link>
                </span>
              ))}
              .
            </p>
          )}
          <DescribeCloth
            key={`${zone.id} ${zone.version} ${position}`}
            quiltId={quilt.id}
            cloth={{
              zoneId: zone.id,
              letter: zone.letter,
              version: zone.version,
              position,
              name: cloth.name,
              unknown: cloth.kind === 'unknown',
            }}
            request={zoneRequest(view, zone, machine, sources)}
            names={Object.fromEntries(shelf.map((c) => [c.id, coneName(c)]))}
          />
        </>
      )}
    </QuiltFrame>
  );
}
