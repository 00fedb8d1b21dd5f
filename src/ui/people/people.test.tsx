import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ComponentProps } from 'react';
import { doors } from '@/actions/doors';
import { lastTold, refuseNext } from '@/ui/testing/studio';
import { fill } from '@/ui/testing/fill';
import { PeopleScreen } from './PeopleScreen';

type Props = ComponentProps<typeof PeopleScreen>;
const person = (part: Partial<Props['people'][number]> = {}): Props['people'][number] => ({
  id: 'me',
  name: 'Wren Halloran',
  role: 'owner',
  namedAt: new Date('2026-11-01T08:00:00'),
  version: 4,
  hasPassphrase: true,
  lastSeenAt: null,
  ...part,
});
const second = person({ id: 'two', name: 'Ida Pell', role: 'hand', version: 2, hasPassphrase: true });
const tablet = {
  id: 'tablet',
  name: 'tablet at the Stand',
  person: 'Wren Halloran',
  pairedAt: new Date('2026-11-20T08:00:00'),
  lastSeenAt: new Date('2026-11-25T09:12:00'),
  version: 3,
};
const show = (part: Partial<Props> = {}) =>
  render(
    <PeopleScreen
      me={{ id: 'me', isOwner: true }}
      people={[person(), second]}
      sessions={[]}
      devices={[tablet]}
      invitations={[]}
      address="https://studio.test:3111"
      beyond
      fingerprint={null}
      {...part}
    />,
  );
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));
const answerNext = (door: unknown, value: unknown) =>
  (door as jest.Mock).mockResolvedValueOnce({ ok: true, value });

describe('who is of the studio', () => {
  test('alone nobody can be removed, and nobody is asked who she is', () => {
    show({ people: [person()] });
    expect(screen.queryByRole('button', { name: /^Remove/ })).toBeNull();
    expect(screen.getByRole('region', { name: 'People' })).toHaveTextContent(/alone here/);
  });
  test('who is not the owner changes, invites and ends nobody', () => {
    show({ me: { id: 'two', isOwner: false } });
    expect(screen.queryAllByRole('button', { name: /^(Change|Remove|Invite)|is lost/ })).toEqual([]);
    expect(screen.getByRole('button', { name: 'Pair a device' })).toBeEnabled();
  });
  test('somebody is invited: name and role go out, and the link comes once, as words and as a code', async () => {
    show();
    await press('Invite somebody');
    const dialog = screen.getByRole('dialog');
    await fill(within(dialog).getByLabelText('Name she signs in with'), 'Oda Quill');
    answerNext(doors.invitePerson, {
      path: '/join/abc',
      expiresAt: '2026-11-27T10:00:00',
      name: 'Oda Quill',
    });
    await press('Make the link');
    expect(lastTold(doors.invitePerson)).toEqual({ name: 'Oda Quill', role: 'hand' });
    const link = await screen.findByRole('region', { name: 'For Oda Quill' });
    expect(link).toHaveTextContent('https://studio.test:3111/join/abc');
    expect(within(link).getByRole('img')).toBeInTheDocument();
    expect(screen.queryByRole('dialog')).toBeNull();
    await userEvent.click(within(link).getByRole('button', { name: 'Close' }));
    expect(screen.queryByRole('region', { name: 'For Oda Quill' })).toBeNull();
  });
  test('a name that is taken is said at its field; the dialog stays with what was typed', async () => {
    show();
    await press('Invite somebody');
    const name = screen.getByLabelText('Name she signs in with');
    await fill(name, 'Ida Pell');
    refuseNext(doors.invitePerson, 'name', 'There is an Ida Pell already.');
    await press('Make the link');
    expect(await screen.findByText('There is an Ida Pell already.')).toBeInTheDocument();
    expect(name).toHaveValue('Ida Pell');
    expect(name).toBeInvalid();
  });
  test('a role is changed for the person as she was read', async () => {
    show();
    await press('Change Ida Pell');
    expect(screen.getByLabelText('Name she signs in with')).toHaveValue('Ida Pell');
    await press('Save');
    expect(lastTold(doors.editPerson)).toMatchObject({
      id: 'two',
      version: 2,
      name: 'Ida Pell',
      role: 'hand',
    });
  });
  test('one is removed, and an invitation taken back; what cannot be is said', async () => {
    const invitation = {
      id: 'inv',
      name: 'Oda Quill',
      role: 'hand' as const,
      madeAt: new Date('2026-11-25T09:00:00'),
      expiresAt: new Date('2026-11-27T09:00:00'),
    };
    show({ invitations: [invitation] });
    await press('Remove Ida Pell');
    expect(lastTold(doors.removePerson)).toEqual({ id: 'two', version: 2 });
    await press('Take it back');
    expect(lastTold(doors.revokeInvitation)).toEqual({ id: 'inv' });
    refuseNext(doors.removePerson, '', 'The last owner stays.');
    await press('Remove Wren Halloran');
    expect(await screen.findByText('The last owner stays.')).toBeInTheDocument();
  });
});

describe('a passphrase of one’s own', () => {
  test('the old one is asked for only where there is one', () => {
    const { unmount } = show();
    expect(screen.getByLabelText('As it is now')).toHaveAttribute('type', 'password');
    unmount();
    show({ people: [person({ hasPassphrase: false })] });
    expect(screen.queryByLabelText('As it is now')).toBeNull();
  });
  test('it is sent as typed, and a wrong one is said at its field', async () => {
    show();
    await fill(screen.getByLabelText('As it is now'), 'wrong one');
    await fill(screen.getByLabelText(/^From now on/), 'eider and tern');
    refuseNext(doors.setPassphrase, 'now', 'That is not your passphrase.');
    await press('Set it');
    expect(lastTold(doors.setPassphrase)).toMatchObject({ now: 'wrong one', words: 'eider and tern' });
    expect(await screen.findByText('That is not your passphrase.')).toBeInTheDocument();
    expect(screen.getByLabelText(/^From now on/)).toHaveValue('eider and tern');
  });
});

describe('devices', () => {
  test('one is paired by a code that holds the address', async () => {
    show();
    await press('Pair a device');
    await fill(screen.getByLabelText(/^What it is called/), 'phone');
    answerNext(doors.pairDevice, { path: '/pair/xyz', expiresAt: '2026-11-25T10:10:00' });
    await press('Show the code');
    expect(lastTold(doors.pairDevice)).toEqual({ name: 'phone' });
    expect(await screen.findByText('https://studio.test:3111/pair/xyz')).toBeInTheDocument();
  });
  test('one is renamed as it was read, and a lost one ended', async () => {
    show();
    await press('Rename tablet at the Stand');
    const name = screen.getByLabelText(/^What it is called/);
    await userEvent.clear(name);
    await fill(name, 'old tablet');
    await press('Save');
    expect(lastTold(doors.renameDevice)).toMatchObject({ id: 'tablet', version: 3, name: 'old tablet' });
    await press(/tablet at the Stand is lost/);
    expect(lastTold(doors.endDevice)).toEqual({ id: 'tablet' });
  });
  test('where only this computer reaches the studio it is said how others would', () => {
    show({ beyond: false, fingerprint: 'AA:BB' });
    const part = screen.getByRole('region', { name: 'Devices' });
    expect(part).toHaveTextContent('HOST=0.0.0.0 ./start');
    expect(part).toHaveTextContent('AA:BB');
  });
});

test('every browser that is signed in is named by what it is, and signed out with a press', async () => {
  const session = (id: string, agent: string) => ({
    id,
    personId: 'two',
    person: 'Ida Pell',
    device: null,
    deviceId: null,
    agent,
    address: `10.0.0.${id}`,
    madeAt: new Date('2026-11-24T08:00:00'),
    lastSeenAt: new Date('2026-11-25T08:00:00'),
  });
  const agents = ['X (Linux; Android 14)', 'X (iPad; CPU OS 17)', 'X (Windows NT 10.0)', 'curl/8'];
  show({ sessions: agents.map((a, i) => session(String(i + 1), a)) });
  const rows = within(screen.getByRole('region', { name: 'Signed in' })).getAllByRole('listitem');
  const kinds = rows.map(
    (row) => /a browser on [a-z ]*?(?=,)|a browser on Android|a program/.exec(row.textContent)?.[0],
  );
  expect(new Set(kinds).size).toBe(4);
  await press('Sign out Ida Pell, 10.0.0.3');
  await waitFor(() => expect(lastTold(doors.endSession)).toEqual({ id: '3' }));
});
