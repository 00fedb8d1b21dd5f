import { ask } from '@/actions/queries';
import { ButtonLink } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';
import { TodayScreen } from '@/ui/today/TodayScreen';

export const metadata = { title: 'Today' };

/** What to load, sew, write, wind, buy and hand over today, and the work away from the frame with its clocks. */
export default async function TodayPage() {
  const now = new Date();
  const view = await ask.readToday(now);
  if (!view)
    return (
      <Empty
        title="No studio yet"
        act={
          <ButtonLink look="act" href="/begin">
            Begin your studio
          </ButtonLink>
        }
      >
        Once quilts wait, what a day asks for stands here.
      </Empty>
    );
  return <TodayScreen view={view} askedAt={now.getTime()} />;
}
