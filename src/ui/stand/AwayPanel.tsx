import { Big } from './Big';
import { StandPanel } from './StandPanel';

/** The clock ran and nobody touched anything: it is asked what that was. */
export function AwayPanel({
  minutes,
  onSewing,
  onAway,
}: {
  minutes: number;
  onSewing: () => void;
  onAway: () => void;
}) {
  return (
    <StandPanel title={`${minutes} minutes: sewing or away?`} onClose={onSewing}>
      <div className="mt-6 grid grid-cols-2 gap-2">
        <Big look="act" label="Sewing" onClick={onSewing} />
        <Big label="Away" onClick={onAway} />
      </div>
    </StandPanel>
  );
}
