'use client';
import { useState } from 'react';
import { type KeyMap, keyWords, STAND_ACTS, type StandAct, USUAL_KEYS, withKey } from './keys';
import { Big } from './Big';
import { StandPanel } from './StandPanel';

/** Which key or pedal does what: press an act, then the key. */
export function KeysPanel({
  keys,
  onKeys,
  onClose,
}: {
  keys: KeyMap;
  onKeys: (keys: KeyMap) => void;
  onClose: () => void;
}) {
  const [asked, setAsked] = useState<StandAct | null>(null);
  return (
    <StandPanel title="Keys and pedals" onClose={onClose}>
      <p className="mt-2 text-20">
        A foot pedal sends a key, like a keyboard. Press an act here, then the pedal.
      </p>
      <ul className="mt-3 grid gap-2 sm:grid-cols-2">
        {STAND_ACTS.map((a) => (
          <li key={a.id}>
            <button
              type="button"
              onClick={() => setAsked(a.id)}
              onKeyDown={(e) => {
                if (asked !== a.id || e.key === 'Escape' || e.key === 'Tab') return;
                e.preventDefault();
                e.stopPropagation();
                onKeys(withKey(keys, a.id, e.key));
                setAsked(null);
              }}
              className="flex min-h-[88px] w-full items-center justify-between rounded border-2 border-rule bg-cloth px-4 text-24"
            >
              {a.label}
              <kbd>{asked === a.id ? 'press it now' : keyWords(keys[a.id])}</kbd>
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-3">
        <Big label="Reset" look="quiet" onClick={() => onKeys(USUAL_KEYS)} />
      </div>
    </StandPanel>
  );
}
