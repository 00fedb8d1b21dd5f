import { useState } from 'react';
import { areaOf, edgeLength } from '@/core/geometry/polygon';
import type { MapEdit } from './use-map-editor';

/** Every zone of the map with its name and size, to pick and to rename. */
export function ZoneNames({ edit }: { edit: MapEdit }) {
  return (
    <ol
      aria-label="Zones"
      className="grid max-h-[640px] grid-cols-[repeat(auto-fill,minmax(250px,1fr))] content-start gap-x-5 overflow-auto"
    >
      {edit.zones.map((z) => (
        <li key={z.id} className={`border-b py-1.5 ${edit.picked.includes(z.id) ? 'bg-indigo-tint' : ''}`}>
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-(--indigo)"
              aria-label={`Pick zone ${z.letter}`}
              checked={edit.picked.includes(z.id)}
              onChange={() => edit.pick(z.id, true)}
            />
            <b className="w-7">{z.letter}</b>
            <NameOf
              key={`${z.id} ${z.name}`}
              letter={z.letter}
              name={z.name}
              onName={(name) => edit.rename(z.id, name)}
            />
          </label>
          <p className="pl-14 text-13 text-ink2">
            {areaOf(z.geometry).toFixed(1)} in², edges {edgeLength(z.geometry).toFixed(1)} in
          </p>
        </li>
      ))}
    </ol>
  );
}

/** A zone’s name: taken when it is left, or with Enter. */
function NameOf({ letter, name, onName }: { letter: string; name: string; onName: (name: string) => void }) {
  const [typed, setTyped] = useState(name);
  return (
    <input
      aria-label={`Name of zone ${letter}`}
      value={typed}
      maxLength={120}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={() => (typed.trim() === '' ? setTyped(name) : onName(typed))}
      onKeyDown={(e) => e.key === 'Enter' && onName(typed)}
      className="min-h-10 w-full rounded border border-transparent bg-transparent px-1 hover:border-rule focus:border-rule"
    />
  );
}
