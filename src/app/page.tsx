import { ask } from '@/actions/queries';
import { Link } from '@/ui/kit/Link';
import { format, parseISO } from 'date-fns';
import { ButtonLink } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';
import { SourceKey } from '@/ui/kit/Sourced';
import { HandList } from '@/ui/rack/HandList';
import { OnFrame } from '@/ui/rack/OnFrame';
import { RackRail } from '@/ui/rack/RackRail';

// The layout's pattern holds for the pages below it, not for the first.
export const metadata = { title: 'Rack · Tidy Spool' };

export default async function RackPage() {
  const view = await ask.readRackView(new Date());
  if (!view || view.rails.every((r) => r.quilts.length === 0))
    return (
      <Empty
        title="The Rack is empty"
        act={
          <span className="flex flex-wrap justify-center gap-3">
            <ButtonLink look="act" href="/set-up">
              Quick set-up
            </ButtonLink>
            <ButtonLink href="/begin">Begin your studio</ButtonLink>
            <ButtonLink look="quiet" href="/workroom/files">
              Open a studio’s file
            </ButtonLink>
          </span>
        }
      >
        Every quilt that comes in hangs here as a spool, by the week it is due. A first set-up needs nothing
        but a fabric and a thread. Say what you own in four short steps, and it becomes yours.
      </Empty>
    );
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] min-h-[calc(100dvh-60px)] lg:grid-cols-[minmax(0,1fr)_minmax(360px,444px)]">
      <div className="px-6 pt-3 max-sm:px-4">
        <h1 className="sr-only">The Rack of {view.preferences.name}</h1>
        {view.rails.map((r) => (
          <RackRail key={r.title} rail={r} />
        ))}
        <div className="flex flex-wrap items-center justify-between gap-x-6 pb-3">
          <SourceKey />
          <Link className="-my-3 flex min-h-11 items-center text-indigo hover:underline" href="/record">
            Handed back: the studio record
          </Link>
        </div>
      </div>
      <aside className="border-l bg-cloth px-5 pt-4">
        <div className="flex items-baseline justify-between">
          <h2 className="text-20">On the frame now</h2>
          {view.onFrame && (
            <span className="text-13 text-ink2">
              since {format(parseISO(view.onFrame.quilt.onFrameSince!), 'EEE d MMM')}
            </span>
          )}
        </div>
        {view.onFrame ? (
          <OnFrame framed={view.onFrame} />
        ) : (
          <p className="mt-2 border-b pb-4 text-ink2">The frame is free.</p>
        )}
        <h2 className="mt-4 mb-1 text-20">Needs your hand</h2>
        <HandList lines={view.hand} />
        <Link className="flex min-h-11 items-center font-semibold text-indigo hover:underline" href="/today">
          The whole day: load, sew, write, wind
        </Link>
        <Link className="flex min-h-11 items-center text-indigo hover:underline" href="/shopping">
          Shopping and winding list
        </Link>
      </aside>
    </div>
  );
}
