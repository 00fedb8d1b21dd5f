import { format } from 'date-fns';
import { CARE } from '@/core/care/items';
import { happenedMs, type LogEntry } from '@/core/log/entry';
import { Big } from './Big';
import { KIND_WORDS, settingWords } from './kind-words';
import { StandPanel } from './StandPanel';

const MOST = 60;

/** What was written down, newest first; each can be undone, and what was undone put back. */
export function ListPanel({
  entries,
  takenBack,
  nameOf,
  onUndo,
  onPutBack,
  onClose,
  onBack,
  onKeys,
  onTempo,
  onMachine,
  onAir,
}: {
  /** What stands. */
  entries: readonly LogEntry[];
  /** What was undone, and by which entries. */
  takenBack: readonly { entry: LogEntry; by: readonly string[] }[];
  nameOf: (cone: string) => string;
  onUndo: (id: string) => void;
  onPutBack: (by: readonly string[]) => void;
  onClose: () => void;
  onBack: () => void;
  onKeys: () => void;
  onTempo: () => void;
  onMachine: () => void;
  onAir: () => void;
}) {
  const lines: { e: LogEntry; by: readonly string[] | null }[] = [
    ...entries.map((e) => ({ e, by: null })),
    ...takenBack.map(({ entry, by }) => ({ e: entry, by })),
  ];
  const newest = lines.sort((a, b) => happenedMs(b.e) - happenedMs(a.e)).slice(0, MOST);
  return (
    <StandPanel title="What was written down" onClose={onClose}>
      <div className="mt-2 flex flex-wrap gap-2">
        <Big label="Back checked" look="quiet" onClick={onBack} />
        <Big label="Machine" look="quiet" onClick={onMachine} />
        <Big label="Note the air" look="quiet" onClick={onAir} />
        <Big label="Tempo" look="quiet" onClick={onTempo} />
        <Big label="Keys and pedals" look="quiet" onClick={onKeys} />
      </div>
      {newest.length === 0 && (
        <p className="mt-4 text-24">Nothing yet. What is tapped here is listed, and can be undone.</p>
      )}
      <ol className="mt-3">
        {newest.map(({ e, by }) => (
          <li key={e.id} className="flex items-center gap-4 border-b py-1 text-24">
            <span className="w-28 text-ink2">{format(new Date(e.at), 'd MMM HH:mm')}</span>
            <span className={`flex-1 ${by ? 'text-ink2' : ''}`}>
              {by && <b>undone: </b>}
              {e.kind === 'setting-changed' || e.kind === 'thread-changed'
                ? settingWords(e, nameOf)
                : KIND_WORDS[e.kind]}
              {e.pass !== undefined && `, pass ${e.pass}`}
              {e.minutes !== undefined && `, ${e.minutes} min`}
              {e.widthIn !== undefined && `, ${e.widthIn} in`}
              {e.nm !== undefined && `, Nm ${e.nm}`}
              {e.care !== undefined && `: ${CARE.find(String(e.care))?.label}`}
              {e.humidityPct !== undefined && `, ${e.humidityPct} % humid`}
              {e.staticFelt && ', static'}
              {e.note && `: ${e.note}`}
              {e.who && <span className="text-ink2">, {e.who}</span>}
            </span>
            {by ? (
              <Big label="Put back" look="quiet" onClick={() => onPutBack(by)} />
            ) : (
              <Big label="Undo" look="quiet" onClick={() => onUndo(e.id)} />
            )}
          </li>
        ))}
      </ol>
    </StandPanel>
  );
}
