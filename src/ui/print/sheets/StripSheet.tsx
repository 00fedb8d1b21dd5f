import { coneName } from '@/actions/zone-brief';
import { facesAt } from '@/ui/test-strip/stitch-side';
import { StripCell } from '@/ui/test-strip/StripCell';
import { changeSince, VERDICT_LOOK, worstVerdict } from '@/ui/test-strip/words';
import type { SheetFacts } from './sheet-facts';

/** The strip as paper to pin on the margin: each test with its number, tensions and verdict, one under the other. */
export function StripSheet({ view, zone, rounds }: SheetFacts) {
  const setup = zone && view.setups.get(zone.id);
  if (!zone || !setup || rounds.length === 0) return <p>No test was sewn in this zone yet.</p>;
  const hex = (id: string) => view.shelf.find((c) => c.id === id)?.hex ?? '#8a8a8a';
  const name = (id: string) => {
    const c = view.shelf.find((x) => x.id === id);
    return c ? coneName(c) : 'thread gone';
  };
  return (
    <>
      <p>
        Zone {zone.letter}, {zone.name}. Top {name(setup.topId)}, bobbin {name(setup.bobbinId)}, needle Nm{' '}
        {setup.needleNm}, {setup.spi} to the inch. Top above, back below; cut along the dashes and pin each
        beside its line.
      </p>
      <ol className="mt-3 max-w-[520px]">
        {rounds.map((r, i) => (
          <li key={r.id} className="break-inside-avoid border-t border-dashed py-2">
            <div className="flex items-baseline gap-4">
              <b className="text-20">{r.n}</b>
              <b>
                {Number(r.topGf.toFixed(1))} / {Number(r.bobbinGf.toFixed(1))} g
              </b>
              <span>{changeSince(rounds[i - 1], r)}</span>
            </div>
            <StripCell
              top={hex(setup.topId)}
              bobbin={hex(setup.bobbinId)}
              cloth="#ffffff"
              backing="#f2f2f2"
              faces={facesAt(worstVerdict(Object.values(r.verdicts)))}
            />
            <p>
              {VERDICT_LOOK[worstVerdict(Object.values(r.verdicts))]}
              {r.note && `. ${r.note}`}
            </p>
          </li>
        ))}
      </ol>
    </>
  );
}
