import { predicted, proven } from '@/core/source/known';
import { Link } from '@/ui/kit/Link';
import type { QuiltView } from '@/actions/quilt-view';
import type { ZoneState } from '@/core/rack/rack';
import { inkOn } from '@/ui/draw/colour';
import { Sourced } from '@/ui/kit/Sourced';

/** The zones by letter, swatch and how far their set-up has come. */
export function ZoneList({ view, zoneId, page }: { view: QuiltView; zoneId?: string; page: string }) {
  return (
    <ol aria-label="Zones" className="mt-2 mr-3">
      {view.zones.map((z) => {
        const here = z.id === zoneId;
        const hex = z.fabrics[0]?.hex ?? '#ede8dc';
        return (
          <li key={z.id} className="border-t last:border-b">
            <Link
              href={`/quilts/${view.quilt.id}/${page}?zone=${z.id}`}
              scroll={false}
              aria-current={here ? 'true' : undefined}
              className={`flex min-h-11 items-center gap-2.5 px-1.5 ${here ? 'bg-cloth font-bold outline-[3px] -outline-offset-[3px] outline-solid outline-indigo' : 'hover:bg-sunk'}`}
            >
              <span
                className="grid size-[26px] shrink-0 place-items-center border border-ink text-[14px] font-bold"
                style={{ background: hex, color: inkOn(hex) }}
              >
                {z.letter}
              </span>
              <span className="min-w-0 flex-1 truncate">{z.name}</span>
              <span className="text-13 font-normal text-ink2">
                <StateWord state={view.states.get(z.id)!} rounds={view.setups.get(z.id)?.rounds ?? 0} />
              </span>
            </Link>
          </li>
        );
      })}
    </ol>
  );
}

/** The zones by their letters alone, in one row, where there is no room for map and list. */
export function ZoneLetters({ view, zoneId, page }: { view: QuiltView; zoneId: string; page: string }) {
  return (
    <ol
      aria-label="Zones by letter"
      className="flex flex-wrap gap-x-1 border-b bg-ground px-3 py-1.5 sm:hidden"
    >
      {view.zones.map((z) => {
        const hex = z.fabrics[0]?.hex ?? '#ede8dc';
        return (
          <li key={z.id}>
            <Link
              href={`/quilts/${view.quilt.id}/${page}?zone=${z.id}`}
              scroll={false}
              aria-current={z.id === zoneId ? 'true' : undefined}
              aria-label={`${z.letter}, ${z.name}, ${view.states.get(z.id)!}`}
              className={`grid size-11 place-items-center border font-bold ${z.id === zoneId ? 'border-ink underline decoration-[3px] underline-offset-4 outline-[3px] -outline-offset-[3px] outline-solid outline-indigo' : ''}`}
              style={{ background: hex, color: inkOn(hex) }}
            >
              {z.letter}
            </Link>
          </li>
        );
      })}
    </ol>
  );
}

function StateWord({ state, rounds }: { state: ZoneState; rounds: number }) {
  switch (state) {
    case 'to match':
      return 'to match';
    case 'matched':
      return <Sourced of={predicted(null)}>predicted</Sourced>;
    case 'testing':
      return <>{rounds} sewn</>;
    case 'proven':
      return <Sourced of={proven(null)}>tested</Sourced>;
    case 'left open':
      return 'left open';
  }
}
