import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import { USUAL_MACHINES } from '@/core/machine/usual';
import { lastTold, refuseNext } from '@/ui/testing/studio';
import { fill } from '@/ui/testing/fill';
import { BeginScreen } from './BeginScreen';

const NOTHING = { machines: 0, cones: 0, needles: 0, bobbins: 0, quilts: 0, isDemo: false };
const show = (part: Partial<typeof NOTHING> = {}) => render(<BeginScreen begun={{ ...NOTHING, ...part }} />);
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));
const steps = () => screen.getAllByRole('listitem').filter((li) => within(li).queryByRole('heading'));
const studioAnswers = (answer: () => Promise<unknown>) => {
  const asked = jest.fn((_url: string, _init: { body: string }) => answer());
  globalThis.fetch = asked as unknown as typeof fetch;
  return asked;
};

describe('an empty studio', () => {
  test('has four steps, none done, and a set-up that needs nothing', () => {
    show();
    expect(steps()).toHaveLength(4);
    expect(screen.getByRole('link', { name: 'Quick set-up' })).toHaveAttribute('href', '/set-up');
    expect(screen.queryByRole('link', { name: 'Take in a quilt' })).toBeNull();
  });
  test('a machine is kept with the usual figures of the kind that was picked, under its name', async () => {
    show();
    const kind = USUAL_MACHINES.rows.at(-1)!;
    await userEvent.click(screen.getByRole('radio', { name: new RegExp(kind.label) }));
    await fill(screen.getByLabelText('What you call it'), 'The old frame');
    await press('Add the machine');
    expect(lastTold(doors.keepMachine)).toEqual({ ...kind.values, name: 'The old frame', version: 0 });
  });
  test('without a name it is told so at the field, and the kind stays picked', async () => {
    show();
    const other = USUAL_MACHINES.rows.find((m) => m.id !== 'long')!;
    await userEvent.click(screen.getByRole('radio', { name: new RegExp(other.label) }));
    refuseNext(doors.keepMachine, 'name', 'Give the machine a name.');
    await press('Add the machine');
    expect(await screen.findByText('Give the machine a name.')).toBeInTheDocument();
    expect(screen.getByLabelText('What you call it')).toBeInvalid();
    expect(screen.getByRole('radio', { name: new RegExp(other.label) })).toBeChecked();
  });
  test('needles are stocked with one press; bobbins only once there is a machine and thread', async () => {
    const { unmount } = show();
    await press(/^A usual drawer/);
    expect(lastTold(doors.stockUsual)).toEqual({ what: 'needles' });
    expect(screen.queryByRole('button', { name: /wound bobbins/ })).toBeNull();
    unmount();
    show({ machines: 1, cones: 2, needles: 40 });
    expect(screen.queryByRole('button', { name: /^A usual drawer/ })).toBeNull();
    await press(/wound bobbins/);
    expect(lastTold(doors.stockUsual)).toEqual({ what: 'bobbins' });
  });
});

test('what is there is counted at its step, one and many', () => {
  show({ machines: 1, cones: 2, needles: 40, bobbins: 1, quilts: 3 });
  expect(steps().map((li) => within(li).getByRole('heading').textContent)).toEqual([
    'Your machine1 machine',
    'Your threads2 cones',
    'Needles and bobbins40 needles, 1 bobbin',
    'First set-up3 quilts',
  ]);
  expect(screen.getByRole('link', { name: 'Take in a quilt' })).toHaveAttribute('href', '/take-in');
});

describe('another studio', () => {
  const real = globalThis.fetch;
  afterEach(() => {
    globalThis.fetch = real;
  });
  test('the demo can be looked at only while one’s own is empty', () => {
    const { unmount } = show();
    expect(screen.getByRole('button', { name: 'Look at the demo studio' })).toBeEnabled();
    unmount();
    show({ cones: 1 });
    expect(screen.getByRole('button', { name: 'Look at the demo studio' })).toBeDisabled();
  });
  test('leaving the demo is asked first, and cancelled without a trace', async () => {
    const asked = studioAnswers(() => new Promise(() => {}));
    show({ machines: 1, isDemo: true });
    await press('Leave the demo');
    await press('Cancel');
    expect(screen.queryByRole('dialog')).toBeNull();
    expect(asked).not.toHaveBeenCalled();
    await press('Leave the demo');
    await press('Leave it');
    expect(JSON.parse(asked.mock.calls[0]![1].body)).toEqual({ to: 'empty' });
    // Pressed twice it is asked for once.
    expect(screen.getByRole('button', { name: /Clearing it/ })).toBeDisabled();
  });
  test('a refusal and a line that is cut are said, and it can be tried again', async () => {
    const refused = { ok: false, problems: [{ path: '', message: 'Somebody is at work in it.' }] };
    studioAnswers(() => Promise.resolve({ json: () => Promise.resolve(refused) }));
    show();
    await press('Look at the demo studio');
    expect(await screen.findByRole('alert')).toHaveTextContent('Somebody is at work in it.');
    studioAnswers(() => Promise.reject(new TypeError('Failed to fetch')));
    await press('Look at the demo studio');
    await waitFor(() => expect(screen.getByRole('alert')).not.toHaveTextContent('Somebody'));
    expect(screen.getByRole('button', { name: 'Look at the demo studio' })).toBeEnabled();
  });
});
