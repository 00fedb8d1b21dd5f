'use client';
import { format } from 'date-fns';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import { type Role, ROLE_DOES, ROLES } from '@/core/fields/lists';
import type { Device, Invitation, Person, Session } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { RecordDialog } from '@/ui/kit/RecordDialog';
import { RecordForm } from '@/ui/kit/RecordForm';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';
import { DevicesPart } from './DevicesPart';
import { OnceLink } from './OnceLink';

type ListedPerson = Person & { hasPassphrase: boolean; lastSeenAt: Date | null };
const ROLE_OPTIONS = ROLES.map((value) => ({ value, label: `${value}: ${ROLE_DOES[value]}` }));

/** Who is of the studio, who is signed in where, and which devices are paired. */
export function PeopleScreen({
  me,
  people,
  sessions,
  devices,
  invitations,
  address,
  beyond,
  fingerprint,
}: {
  me: { id: string; isOwner: boolean };
  people: readonly ListedPerson[];
  sessions: readonly Session[];
  devices: readonly Device[];
  invitations: readonly Invitation[];
  /** How other devices reach this studio. */
  address: string;
  /** Other devices can reach it at all. */
  beyond: boolean;
  fingerprint: string | null;
}) {
  const [dialog, setDialog] = useState<'invite' | ListedPerson | null>(null);
  const [link, setLink] = useState<{ path: string; expiresAt: string; name: string } | null>(null);
  const own = people.find((p) => p.id === me.id);
  const remove = useActionForm(doors.removePerson, () =>
    toast('Signed out everywhere; what she did stays hers.'),
  );
  const revoke = useActionForm(doors.revokeInvitation, () => toast('The invitation is taken back.'));
  return (
    <div className="mt-4 grid gap-x-10 gap-y-8 lg:grid-cols-2">
      <section aria-label="People">
        <h2 className="border-t-2 border-ink pt-2 text-20">People</h2>
        <p className="text-ink2">
          {people.length === 1
            ? 'You are alone here: on this computer nobody is asked who she is. From the second person on everyone signs in.'
            : 'Everyone signs in by name. What is logged, tested and changed carries who did it.'}
        </p>
        <ul className="mt-2">
          {people.map((p) => (
            <li key={p.id} className="flex min-h-14 flex-wrap items-center gap-x-4 border-b py-1">
              <span className="min-w-[160px] flex-1">
                <b className="font-semibold">{p.name}</b>
                {p.id === me.id && ' (you)'}
                <span className="block text-13 text-ink2">
                  {p.role}: {ROLE_DOES[p.role]}
                  {p.lastSeenAt && `; last seen ${format(p.lastSeenAt, 'd MMM HH:mm')}`}
                </span>
              </span>
              {me.isOwner && (
                <>
                  <Button look="quiet" onClick={() => setDialog(p)} aria-label={`Change ${p.name}`}>
                    Change
                  </Button>
                  {people.length > 1 && (
                    <Button
                      look="quiet"
                      disabled={remove.pending}
                      onClick={() => remove.send({ id: p.id, version: p.version })}
                      aria-label={`Remove ${p.name}`}
                    >
                      Remove
                    </Button>
                  )}
                </>
              )}
            </li>
          ))}
          {invitations.map((i) => (
            <li key={i.id} className="flex min-h-14 flex-wrap items-center gap-x-4 border-b py-1 text-ink2">
              <span className="flex-1">
                {i.name}, {i.role}: invited until {format(i.expiresAt, 'd MMM HH:mm')}
              </span>
              <Button look="quiet" disabled={revoke.pending} onClick={() => revoke.send({ id: i.id })}>
                Take it back
              </Button>
            </li>
          ))}
        </ul>
        <Problems problems={[...remove.problems, ...revoke.problems]} />
        {link && (
          <OnceLink
            title={`For ${link.name}`}
            url={`${address}${link.path}`}
            until={link.expiresAt}
            note="It works once, within two days. Send it, or let it be read here; it is not shown again."
            onClose={() => setLink(null)}
          />
        )}
        {me.isOwner && (
          <div className="mt-3">
            <Button look="act" onClick={() => setDialog('invite')}>
              Invite somebody
            </Button>
          </div>
        )}
        <h3 className="mt-6 text-16">Your passphrase</h3>
        <RecordForm
          key={own?.version}
          specs={[
            ...(own?.hasPassphrase ? [{ name: 'now', label: 'As it is now', kind: 'secret' as const }] : []),
            { name: 'words', label: 'From now on', kind: 'secret', hint: '8 letters or more' },
          ]}
          initial={{}}
          fixed={{}}
          act={doors.setPassphrase}
          onDone={() => toast('Your passphrase is set.')}
          submit="Set it"
        />
      </section>
      <div>
        <DevicesPart
          devices={devices}
          address={address}
          beyond={beyond}
          fingerprint={fingerprint}
          isOwner={me.isOwner}
        />
        <Sessions sessions={sessions} />
      </div>
      {dialog && (
        <RecordDialog
          title={dialog === 'invite' ? 'Invite somebody' : `Change ${dialog.name}`}
          about={dialog === 'invite' ? 'She gets a link that works once and sets her own passphrase.' : ''}
          onClose={() => setDialog(null)}
          specs={[
            { name: 'name', label: 'Name she signs in with', kind: 'text' },
            { name: 'role', label: 'She', kind: 'choice', options: ROLE_OPTIONS },
          ]}
          initial={
            dialog === 'invite' ? { role: 'hand' satisfies Role } : { name: dialog.name, role: dialog.role }
          }
          fixed={dialog === 'invite' ? {} : { id: dialog.id, version: dialog.version }}
          act={(dialog === 'invite' ? doors.invitePerson : doors.editPerson) as typeof doors.invitePerson}
          onDone={(v) => {
            if (dialog === 'invite') setLink(v);
            setDialog(null);
          }}
          submit={dialog === 'invite' ? 'Make the link' : 'Save'}
        />
      )}
    </div>
  );
}

function Sessions({ sessions }: { sessions: readonly Session[] }) {
  const end = useActionForm(doors.endSession, () => toast('Signed out there.'));
  return (
    <section aria-label="Signed in" className="mt-8">
      <h2 className="border-t-2 border-ink pt-2 text-20">Signed in</h2>
      {sessions.length === 0 && (
        <p className="mt-1 text-ink2">Nobody is signed in by a passphrase or a code.</p>
      )}
      <ul>
        {sessions.map((s) => (
          <li key={s.id} className="flex min-h-14 flex-wrap items-center gap-x-4 border-b py-1">
            <span className="min-w-[200px] flex-1">
              <b className="font-semibold">{s.person}</b>
              {s.device && ` on ${s.device}`}
              <span className="block text-13 text-ink2">
                {browserOf(s.agent)}, {s.address}; last seen {format(s.lastSeenAt, 'd MMM HH:mm')}
              </span>
            </span>
            <Button
              look="quiet"
              disabled={end.pending}
              onClick={() => end.send({ id: s.id })}
              aria-label={`Sign out ${s.person}, ${s.address}`}
            >
              Sign out
            </Button>
          </li>
        ))}
      </ul>
      <Problems problems={end.problems} />
      {sessions.length > 0 && (
        <form method="post" action="/sign-out" className="mt-3">
          <button type="submit" className="min-h-11 rounded border-[1.5px] border-rule px-4 font-semibold">
            Sign out here
          </button>
        </form>
      )}
    </section>
  );
}

/** What a browser says it is, in a word or two. */
const browserOf = (agent: string): string =>
  /Android/.test(agent)
    ? 'a browser on Android'
    : /iPhone|iPad/.test(agent)
      ? 'a browser on a phone or tablet'
      : /Windows|Macintosh|Linux/.test(agent)
        ? 'a browser on a computer'
        : 'a program';
