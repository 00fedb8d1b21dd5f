import { ask } from '@/actions/queries';
import { format } from 'date-fns';
import { Link } from '@/ui/kit/Link';
import { nearest, unlikeWords } from '@/core/past/nearest';
import { predicted, proven } from '@/core/source/known';
import { techniques } from '@/core/tables/techniques';
import { settingsBeside } from '@/actions/settings';
import { Empty } from '@/ui/kit/Empty';
import { Sourced } from '@/ui/kit/Sourced';
import { ThreadSwatch } from '@/ui/kit/Swatch';
import { MatchNav } from '@/ui/match/MatchNav';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../../quilt-page';

export const metadata = { title: 'Past work' };

const LOOKED_AT = 400;
const SHOWN = 12;

/** What was sewn before that is most like this zone, how it went, and one tap to begin from it. */
export default async function PastPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const { quilt } = view;
  const words = ((await props.searchParams).q ?? '').slice(0, 60);
  const past = zone ? await ask.readPastWork(quilt.id, words, LOOKED_AT) : [];
  const setup = zone && view.setups.get(zone.id);
  const top = view.shelf.find((c) => c.id === setup?.topId);
  const found = zone
    ? nearest(
        {
          cloths: zone.fabrics.map((f) => ({ fabric: f.kind, share: f.share })),
          battingId: quilt.battingKind,
          technique: zone.technique,
          spacingIn: zone.spacingIn,
          top: top && { tex: top.tex, fibre: top.fibre },
        },
        past.map((p) => ({ ...p, top: { tex: p.tex, fibre: p.fibre } })),
        SHOWN,
      )
    : [];
  // What was set otherwise at the machine there is what was sewn, not what the card meant.
  const logs = new Map(
    await Promise.all(
      [...new Set(found.map((f) => f.work.quiltId))].map(
        async (id) => [id, await ask.readSettings(id)] as const,
      ),
    ),
  );
  const sewnAs = (w: (typeof found)[number]['work']) => {
    const own = settingsBeside({ chosenAt: w.chosenAt, provenAt: null }, logs.get(w.quiltId)?.get(w.zoneId));
    return { topGf: own.topGf ?? w.topGf, bobbinGf: own.bobbinGf ?? w.bobbinGf, spi: own.spi ?? w.spi };
  };
  return (
    <QuiltFrame view={view} machine={machine} step="match" zoneId={zone?.id} page="match/past">
      <MatchNav quiltId={quilt.id} zoneId={zone?.id} here="/past" />
      {!zone ? (
        <Empty title="No zones yet">Draw the zones of this quilt on its map first.</Empty>
      ) : (
        <>
          <div className="mt-2.5 flex flex-wrap items-center gap-x-3.5 gap-y-2">
            <h2 className="text-24">{zone.name}</h2>
            <p className="min-w-0 flex-1 text-ink2">zone {zone.letter} · what was sewn before most like it</p>
            <form role="search" className="flex gap-2">
              <input type="hidden" name="zone" value={zone.id} />
              <input
                name="q"
                defaultValue={words}
                aria-label="Client, quilt, thread or fabric"
                placeholder="Client, quilt, thread or fabric"
                className="min-h-11 w-64 rounded border border-rule bg-cloth px-3 text-16"
              />
              <button
                type="submit"
                className="min-h-11 rounded border-[1.5px] border-indigo px-4 font-semibold text-indigo"
              >
                Look
              </button>
            </form>
          </div>
          {found.length === 0 ? (
            <Empty title={words ? `Nothing with “${words}”` : 'Nothing to look back on yet'}>
              {words
                ? 'Try part of a name, or leave the field empty.'
                : 'Zones of other quilts appear here once they have a setting card.'}
            </Empty>
          ) : (
            <ol className="mt-2 border-t-2 border-ink">
              {found.map(({ work, distance }) => (
                <li
                  key={work.setupId}
                  className="grid grid-cols-[minmax(0,1.2fr)_minmax(0,1.3fr)_auto] gap-x-5 border-b py-2.5"
                >
                  <div>
                    <Link
                      className="font-semibold text-indigo hover:underline"
                      href={`/quilts/${work.quiltId}/match?zone=${work.zoneId}`}
                    >
                      {work.quilt}, {work.zone}
                    </Link>
                    <p className="text-ink2">
                      {work.client}, {format(work.at, 'MMM yyyy')}
                    </p>
                    <p>
                      {techniques.find(work.technique)?.label}, spacing {work.spacingIn} in, on{' '}
                      {work.cloths.map((c) => c.name).join(', ')}; {work.batting}
                    </p>
                    <p className="text-13 text-ink2">
                      {Math.round((1 - distance.total) * 100)} in 100 alike: {unlikeWords(distance)}
                    </p>
                  </div>
                  <div>
                    <p className="flex items-center gap-2 font-semibold">
                      <ThreadSwatch hex={work.topHex} width={22} height={22} /> {work.topName}
                    </p>
                    <p>
                      over {work.bobbinName}, Nm {work.needleNm}, {Number(sewnAs(work).spi.toFixed(1))} to the
                      inch
                    </p>
                    <p>
                      <Sourced of={work.proven ? proven(sewnAs(work).topGf) : predicted(sewnAs(work).topGf)}>
                        {Math.round(sewnAs(work).topGf)} / {Math.round(sewnAs(work).bobbinGf)} g
                      </Sourced>{' '}
                      {work.rounds === 0
                        ? 'not tested'
                        : `after ${work.rounds} ${work.rounds === 1 ? 'test' : 'tests'}`}
                      ,{' '}
                      {work.faults === 0
                        ? 'no fault noted'
                        : `${work.faults} ${work.faults === 1 ? 'fault' : 'faults'} noted`}
                      {work.sewn ? ', handed back' : ''}
                    </p>
                  </div>
                  <Link
                    className="inline-flex min-h-11 items-center self-start rounded border-[1.5px] border-indigo px-4 font-semibold whitespace-nowrap text-indigo"
                    href={`/quilts/${quilt.id}/match?${new URLSearchParams({
                      zone: zone.id,
                      topId: work.topId,
                      bobbinId: work.bobbinId,
                      nm: String(work.needleNm),
                    }).toString()}`}
                  >
                    Begin from this
                  </Link>
                </li>
              ))}
            </ol>
          )}
        </>
      )}
    </QuiltFrame>
  );
}
