import { headers } from 'next/headers';
import { networkInterfaces } from 'node:os';
import { ask } from '@/actions/queries';
import { thisContext } from '@/actions/context';
import { studioScheme } from '@/serve/scheme';
import { PeopleScreen } from '@/ui/people/PeopleScreen';

export const metadata = { title: 'People and devices' };

/** This computer's address for other devices: its number in the house, where it has one. */
function addressFor(host: string): string {
  const [name = '', port = ''] = host.split(':');
  if (!['localhost', '127.0.0.1'].includes(name)) return host;
  const own = Object.values(networkInterfaces())
    .flat()
    .find((a) => a && a.family === 'IPv4' && !a.internal);
  return own ? `${own.address}:${port}` : host;
}

export default async function PeoplePage() {
  const { actor } = thisContext();
  const isOwner = actor.role === 'owner';
  const [people, sessions, devices, invitations, head] = await Promise.all([
    ask.readPeople(),
    ask.readSessions(),
    ask.readDevices(),
    isOwner ? ask.readInvitations() : [],
    headers(),
  ]);
  const beyond = !['127.0.0.1', 'localhost', '::1', undefined].includes(process.env.HOST);
  return (
    <PeopleScreen
      me={{ id: actor.id, isOwner }}
      people={people}
      sessions={sessions.filter((s) => isOwner || s.personId === actor.id)}
      devices={devices}
      invitations={invitations}
      address={`${studioScheme()}://${addressFor(head.get('host') ?? '')}`}
      beyond={beyond}
      fingerprint={process.env.TIDY_SPOOL_FINGERPRINT || null}
    />
  );
}
