import { ask } from '@/actions/queries';
import { isSewn } from '@/core/plan/begun';
import { markingsOf } from '@/actions/marking';
import { markingLine } from '@/core/marking/marking';
import { stepId } from '@/core/plan/step-key';
import { conditionWords } from '@/core/tables/conditions';
import { signs } from '@/core/tables/symptoms';
import { StandScreen } from '@/ui/stand/StandScreen';
import { passDrawing, raiseBefore, shownSteps, shownThreads } from '@/ui/stand/stand-facts';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';

export const metadata = { title: 'Stand' };
const SHOWN_SIGNS = 12;

export default async function StandPage(props: QuiltPageProps) {
  const { view, machine } = await readQuiltPage(props);
  const { quilt } = view;
  const now = new Date();
  const [
    read,
    measured,
    entries,
    fitted,
    drawer,
    tray,
    framed,
    before,
    preferences,
    scraps,
    care,
    air,
    habit,
  ] = await Promise.all([
    ask.readPlan(view),
    ask.readScales(machine.id),
    ask.readEntries(quilt.id),
    ask.readFittedIn(machine.id),
    ask.readDrawer(),
    ask.readTray(),
    ask.readFramed(quilt.id),
    ask.readSewnBeforeLog(quilt.id),
    ask.readPreferences(),
    ask.readMarkerTests(view.zones.flatMap((z) => z.fabrics.map((f) => f.fabricId))),
    ask.readCareOf(machine.id, now),
    ask.readAirAt(quilt.id, machine.id, now),
    ask.readHabit(),
  ]);
  // What is marked while it stands on the frame; what was drawn before loading is there.
  const markings = new Map(
    markingsOf(view, read.plan, read.preferences, scraps, 0)
      .filter((m) => m.picks[0]?.when !== 'before-loading')
      .map((m) => [m.zoneId, markingLine(m)]),
  );
  const steps = shownSteps(view, read, markings);
  const next = read.steps.find((s) => !isSewn(s, quilt.sewn));
  const seen = (await ask.likelyHere(view, next?.zones[0]?.id ?? null)).map((id) => ({
    id,
    label: signs.get(id).label,
  }));
  const sewnBefore = steps
    .filter((s) =>
      before.some(
        (b) =>
          b.pass === s.pass && (b.coneId === null || (b.coneId === s.thread && b.stabilise === s.stabilise)),
      ),
    )
    .map(stepId);
  return (
    <StandScreen
      quilt={{
        id: quilt.id,
        name: quilt.name,
        onTable: machine.kind === 'table',
        fixed: quilt.passes !== null,
        quilted: quilt.handedBackOn !== null,
        onFrame: quilt.onFrameSince !== null,
        framed,
        watch: [quilt.watch, ...view.conditions.filter((c) => c.state !== 'done').map(conditionWords)]
          .filter(Boolean)
          .join('; '),
      }}
      steps={steps}
      threads={shownThreads(view, read, tray)}
      drawing={passDrawing(view, read)}
      measured={measured.map(({ kind, points }) => ({
        kind,
        points: points.map(({ mark, value }) => ({ mark, value })),
      }))}
      school={preferences?.tensionSchool ?? 'both'}
      feet={machine.feet}
      pins={view.faults.flatMap((f) =>
        f.status === 'open' && f.xIn !== null && f.yIn !== null ? { xIn: f.xIn, yIn: f.yIn } : [],
      )}
      sewnBefore={sewnBefore}
      entries={entries}
      cursor={entries.at(-1)?.cursor ?? 0}
      signs={seen.slice(0, SHOWN_SIGNS)}
      moreSigns={seen.slice(SHOWN_SIGNS)}
      raiseBefore={raiseBefore(view, read)}
      needle={
        fitted && {
          nm: fitted.nm,
          eye: fitted.eye,
          coated: fitted.coated,
          stitches: fitted.stitches,
          worn: fitted.worn,
          life: fitted.life,
        }
      }
      care={{
        known: (care?.lines ?? []).map(({ id, u, word, perHour, perBobbin }) => ({
          id,
          u,
          word,
          perHour,
          perBobbin,
        })),
        askedAt: now.getTime(),
      }}
      air={air}
      restEveryMin={habit.restEveryMin}
      drawer={drawer.map(({ nm, eye, point, coated, stock }) => ({ nm, eye, point, coated, stock }))}
      map={{
        widthIn: quilt.widthIn,
        lengthIn: quilt.lengthIn,
        zones: view.zones.map(({ id, letter, name, geometry, technique, spacingIn, fabrics }) => ({
          id,
          letter,
          name,
          geometry,
          technique,
          spacingIn,
          fabrics,
        })),
        width: 420,
        maxHeight: 420,
        bands: read.plan.passes && { depthsIn: read.plan.passes.depthsIn, turned: read.plan.passes.turned },
        idPrefix: 'stand',
      }}
    />
  );
}
