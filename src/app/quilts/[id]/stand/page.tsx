import { likelyHere } from '@/actions/fault-setup';
import { readPlan } from '@/actions/plan';
import { scalesOf } from '@/core/machine/scales';
import { isSewn } from '@/core/plan/begun';
import { stepId } from '@/core/plan/step-key';
import { symptoms } from '@/core/tables/symptoms';
import { readEntries } from '@/data/log';
import { readScales } from '@/data/machines';
import { readFittedIn } from '@/data/needles';
import { readSewnBeforeLog } from '@/data/steps';
import { db } from '@/data/sql';
import { SignPicture } from '@/ui/faults/SignPicture';
import { QuiltMap } from '@/ui/quilt-map/QuiltMap';
import { StandBench } from '@/ui/stand/StandBench';
import { raiseBefore, shownSteps } from '@/ui/stand/stand-facts';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';

export const metadata = { title: 'Stand' };
const SHOWN_SIGNS = 12;

export default async function StandPage(props: QuiltPageProps) {
  const { view, machine } = await readQuiltPage(props);
  const { quilt } = view;
  const [read, measured, entries, fitted, before] = await Promise.all([
    readPlan(db(), view),
    readScales(db(), machine.id),
    readEntries(db(), quilt.id),
    readFittedIn(db(), machine.id),
    readSewnBeforeLog(db(), quilt.id),
  ]);
  const steps = shownSteps(view, read, scalesOf(measured));
  const next = read.steps.find((s) => !isSewn(s, quilt.sewn));
  const signs = (await likelyHere(db(), view, next?.zones[0]?.id ?? null)).map((id) => ({
    id,
    label: symptoms.get(id).label,
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
    <StandBench
      quilt={{
        id: quilt.id,
        name: quilt.name,
        widthIn: quilt.widthIn,
        lengthIn: quilt.lengthIn,
        fixed: quilt.passes !== null,
      }}
      steps={steps}
      sewnBefore={sewnBefore}
      entries={entries}
      cursor={entries.at(-1)?.cursor ?? 0}
      signs={signs.slice(0, SHOWN_SIGNS)}
      moreSigns={signs.slice(SHOWN_SIGNS)}
      signPictures={Object.fromEntries(
        signs.map(({ id }) => [id, <SignPicture key={id} id={id} className="block h-[62px] w-full" />]),
      )}
      raiseBefore={raiseBefore(view, read)}
      needle={fitted && { nm: fitted.nm, stitches: fitted.stitches, worn: fitted.worn, life: fitted.life }}
      map={
        <QuiltMap
          widthIn={quilt.widthIn}
          lengthIn={quilt.lengthIn}
          zones={view.zones}
          width={420}
          maxHeight={420}
          bands={read.plan.passes && { depthsIn: read.plan.passes.depthsIn, turned: read.plan.passes.turned }}
          idPrefix="stand"
        />
      }
    />
  );
}
