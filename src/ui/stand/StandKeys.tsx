import { Big } from './Big';
import { keyWords } from './keys';
import type { Stand } from './use-stand';

/** The ten keys at the machine, the same ones in the same places whatever is sewn. */
export function StandKeys({ stand }: { stand: Stand }) {
  const { acts, keys, zoneAfter, newest } = stand;
  return (
    <nav aria-label="At the machine" className="grid grid-cols-3 gap-2 sm:grid-cols-5">
      <Big
        look="act"
        label={stand.running ? 'Pause' : stand.state.begun ? 'Go on' : 'Start step'}
        hint={keyWords(keys.go)}
        onClick={acts.go}
      />
      <Big look="act" label="Finish step" hint={keyWords(keys.done)} onClick={acts.done} />
      <Big
        label={zoneAfter ? `Next zone ${zoneAfter.letter}` : 'Last zone'}
        hint={zoneAfter ? keyWords(keys.zone) : undefined}
        onClick={acts.zone}
        disabled={!zoneAfter}
      />
      <Big look="fault" label="Fault" hint={keyWords(keys.fault)} onClick={acts.fault} />
      <Big
        label="Undo"
        under={stand.newestWords ?? 'nothing yet'}
        hint={keyWords(keys.undo)}
        onClick={acts.undo}
        disabled={!newest}
      />
      <Big
        label={stand.quilt.onTable ? 'Quilt turned' : stand.roll?.back ? 'Roll back' : 'Advance'}
        hint={keyWords(keys.advance)}
        onClick={acts.advance}
      />
      <Big label="Bobbin changed" hint={keyWords(keys.bobbin)} onClick={acts.bobbin} />
      <Big label="Needle changed" hint={keyWords(keys.needle)} onClick={acts.needle} />
      <Big label="Change setting" hint={keyWords(keys.change)} onClick={acts.change} />
      <Big label="More" onClick={() => stand.setPanel('list')} />
    </nav>
  );
}
