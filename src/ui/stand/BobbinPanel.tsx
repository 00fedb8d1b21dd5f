import { Big } from './Big';
import type { ShownThread } from './stand-facts';
import { StandPanel } from './StandPanel';

/** No bobbin of this thread is on the tray: one is wound now, or it came from elsewhere. */
export function BobbinPanel({
  thread,
  onWound,
  onPut,
  onClose,
}: {
  thread: ShownThread | undefined;
  onWound: (metres: number) => void;
  onPut: () => void;
  onClose: () => void;
}) {
  const metres = Math.round(thread?.capacityM ?? 0);
  return (
    <StandPanel title={`No bobbin of ${thread?.name ?? 'this thread'} is on the tray`} onClose={onClose}>
      <p className="mt-2 text-24">Wind one, then put it in: about {metres} m come off the cone.</p>
      <div className="mt-6 grid gap-2 sm:grid-cols-2">
        <Big look="act" label="Wound one, it is in" onClick={() => onWound(metres)} disabled={metres <= 0} />
        <Big label="It came from elsewhere" onClick={onPut} />
      </div>
    </StandPanel>
  );
}
