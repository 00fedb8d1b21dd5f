import { matchRequest, onlyPair } from '@/actions/zone-brief';
import { match } from '@/core/match/match';
import { techniques } from '@/core/tables/techniques';
import { db } from '@/data/sql';
import { readDrawer } from '@/data/needles';
import { readStudio } from '@/data/studio';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Empty } from '@/ui/kit/Empty';
import { MatchBench } from '@/ui/match/MatchBench';
import { candidatesOf } from '@/ui/match/candidates';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';

export const metadata = { title: 'Match' };

export default async function MatchPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const { quilt, shelf } = view;
  if (!zone)
    return (
      <QuiltFrame view={view} machine={machine} step="match" page="match">
        <Empty title="No zones yet">
          Draw the zones of this quilt on its map first; each is then matched on its own.
        </Empty>
      </QuiltFrame>
    );
  const [drawer, studio] = await Promise.all([readDrawer(db()), readStudio(db())]);
  const standing = view.setups.get(zone.id);
  const request = matchRequest(zone, quilt, { machine, shelf, drawer, studio: studio! });
  const found = match(request);
  const fresh = standing && match({ ...onlyPair(request, standing), limit: 1 }).setups[0];
  const candidates = candidatesOf({ found, standing, fresh, zone, quilt, shelf });
  return (
    <QuiltFrame view={view} machine={machine} step="match" zoneId={zone.id} page="match">
      {candidates.length === 0 ? (
        <Empty title="Nothing on the shelf suits this zone">
          {found.cautions.map((c) => (
            <CautionLine key={c.code} caution={c} />
          ))}
        </Empty>
      ) : (
        <MatchBench
          key={zone.id + (standing?.id ?? '')}
          quiltId={quilt.id}
          zone={{ id: zone.id, name: zone.name, letter: zone.letter, fabrics: zone.fabrics }}
          about={`${techniques.get(zone.technique).label}, ${zone.spacingIn} in apart · best of ${found.weighed} set-ups`}
          candidates={candidates}
          seenVersion={standing?.version ?? 0}
          backingHex={quilt.backingHex ?? '#d8cfbb'}
          shank={machine.shank}
        />
      )}
    </QuiltFrame>
  );
}
