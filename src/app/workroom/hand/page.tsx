import { ask } from '@/actions/queries';
import { planPasses } from '@/core/passes/passes';
import { attempt } from '@/core/notes';
import { frameOf } from '@/actions/plan';
import { HandScreen } from '@/ui/hand/HandScreen';

export const metadata = { title: 'Your hand' };

/** A quilt of a usual size, to tell how deep a first pass is, inches. */
const USUAL_QUILT = { widthIn: 60, lengthIn: 80 };
const USUAL_ROLLED_MM = 4;

export default async function HandPage() {
  const [hand, habit, machines, hours] = await Promise.all([
    ask.readHand(),
    ask.readHabit(),
    ask.readMachines(),
    ask.readOwnHours(),
  ]);
  const depths = machines
    .filter((m) => m.kind === 'frame')
    .flatMap((m) => {
      const passes = attempt(() =>
        planPasses({ quilt: USUAL_QUILT, frame: frameOf(m), rolledMm: USUAL_ROLLED_MM }),
      );
      return typeof passes === 'string' ? [] : [{ name: m.name, depthIn: passes.depthsIn[0]! }];
    });
  return <HandScreen hand={hand} habit={habit} depths={depths} hours={hours} />;
}
