import { ask } from '@/actions/queries';
import { Link } from '@/ui/kit/Link';
import { untestedTwins } from '@/actions/twins';
import { coneName, sandwichOf } from '@/actions/zone-brief';
import { thicknessMm } from '@/core/sandwich/sandwich';
import { ColourTrials } from '@/ui/test-strip/ColourTrials';
import { listedNames } from '@/ui/shelf/listed';
import { CLEAR } from '@/ui/draw/colour';
import { ButtonLink } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { searchLadder } from '@/ui/tension-ladder/search-ladder';
import { TestScreen } from '@/ui/test-strip/TestScreen';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';

export const metadata = { title: 'Test' };

export default async function TestPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const { quilt, shelf } = view;
  const setup = zone && view.setups.get(zone.id);
  const search = zone && setup && (await ask.readSearch(quilt.id, zone.id, setup));
  const [measured, preferences] = await Promise.all([ask.readScales(machine.id), ask.readPreferences()]);
  const [cures, cureCounts, trials, shelfNow] = await Promise.all([
    setup ? ask.readCures(setup.id) : [],
    ask.readCureCounts(),
    zone ? ask.readTrials(zone.id) : [],
    ask.keptShelf(),
  ]);
  const hexOf = (id: string | undefined) => shelf.find((c) => c.id === id)?.hex ?? CLEAR;
  return (
    <QuiltFrame view={view} machine={machine} step="test" zoneId={zone?.id} page="test">
      {zone && setup && search ? (
        <>
          <TestScreen
            key={`${setup.id}-${search.rounds.length}`}
            quilt={{ id: quilt.id, name: quilt.name }}
            zone={{ id: zone.id, name: zone.name, letter: zone.letter }}
            setup={setup}
            search={search}
            ladder={searchLadder(search)}
            measured={measured}
            school={preferences?.tensionSchool}
            twins={untestedTwins(zone, view.zones, view.setups).map((t) => ({
              id: t.zone.id,
              letter: t.zone.letter,
              name: t.zone.name,
            }))}
            thicknessMm={thicknessMm(sandwichOf(zone, quilt))}
            cures={cures}
            cureCounts={cureCounts}
            colours={{
              top: hexOf(setup.topId),
              bobbin: hexOf(setup.bobbinId),
              cloth: zone.fabrics[0]?.hex ?? '#ede8dc',
              backing: quilt.backingHex ?? '#d8cfbb',
            }}
          />
          <p className="mt-4 flex flex-wrap gap-x-6">
            <Link
              className="min-h-11 content-center text-indigo hover:underline"
              href={`/quilts/${quilt.id}/test/photo?zone=${zone.id}`}
            >
              Measure stitches on a photograph
            </Link>
            <Link
              className="min-h-11 content-center text-indigo hover:underline"
              href={`/quilts/${quilt.id}/sheets/strip?zone=${zone.id}`}
            >
              Print the strip
            </Link>
          </p>
          <ColourTrials
            quiltId={quilt.id}
            zoneId={zone.id}
            list={listedNames(shelfNow, [])}
            trials={trials}
            threads={Object.fromEntries(
              shelfNow.all
                .filter((c) => trials.some((t) => t.coneIds.includes(c.id)))
                .map((c) => [c.id, { name: coneName(c), hex: c.hex }]),
            )}
          />
        </>
      ) : (
        <Empty
          title={zone ? `No set-up for ${zone.name} yet` : 'No zones yet'}
          act={
            zone && (
              <ButtonLink look="act" href={`/quilts/${quilt.id}/match?zone=${zone.id}`}>
                Match {zone.name}
              </ButtonLink>
            )
          }
        >
          A test stitch is sewn with one set-up. Choose it on Match; the first tensions to try come with it.
        </Empty>
      )}
    </QuiltFrame>
  );
}
