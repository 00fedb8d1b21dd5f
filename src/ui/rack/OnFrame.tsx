import { format, parseISO } from 'date-fns';
import type { RackView } from '@/actions/rack';
import { ButtonLink } from '@/ui/kit/Button';
import { Sourced } from '@/ui/kit/Sourced';
import { QuiltMap } from '@/ui/quilt-map/QuiltMap';

/** The quilt on the frame: its map, pass and what is left. */
export function OnFrame({ framed }: { framed: NonNullable<RackView['onFrame']> }) {
  const { quilt, zones, faults } = framed;
  const { all, sewn } = framed.progress;
  return (
    <div className="mt-2.5 flex gap-4 border-b pb-4">
      <QuiltMap
        idPrefix="frame"
        widthIn={quilt.widthIn}
        lengthIn={quilt.lengthIn}
        zones={zones}
        width={186}
        maxHeight={215}
        passes={quilt.passes}
        bands={quilt.depthsIn && { depthsIn: quilt.depthsIn, turned: quilt.turned }}
        passesSewn={framed.passesSewn}
        pins={faults}
      />
      <div className="min-w-0 flex-1">
        <h3 className="text-24">{quilt.name}</h3>
        <p className="mt-1 text-ink2">
          {quilt.client} · due {format(parseISO(quilt.dueOn), 'EEE d MMM')}
        </p>
        <p className="mt-2.5 text-28 leading-tight font-bold">
          {all === 0 ? (
            'Zones to match'
          ) : (
            <>
              Step {Math.min(sewn + 1, all)} <span className="text-20 font-normal">of {all}</span>
            </>
          )}
        </p>
        <dl className="mt-2 grid grid-cols-2 gap-3">
          <div>
            <dt className="text-13 text-ink2">Left to sew</dt>
            <dd className="text-[18px] font-semibold">
              <Sourced of={framed.hoursLeft}>{framed.hoursLeft.value.toFixed(1)} h</Sourced>
            </dd>
          </div>
          <div>
            <dt className="text-13 text-ink2">Open faults</dt>
            <dd className="text-[18px] font-semibold">{faults.length}</dd>
          </div>
        </dl>
        <ButtonLink look="act" href={`/quilts/${quilt.id}/quilt`} className="mt-3 w-full">
          Go on with this quilt
        </ButtonLink>
      </div>
    </div>
  );
}
