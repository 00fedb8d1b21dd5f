import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import { matchWhole, type WholeQuiltRequest } from '@/core/match/whole-quilt';
import { aMatch } from '@/core/testing/a-shelf';
import { router } from '@/ui/testing/browser';
import { pack } from '@/ui/kit/pack';
import { WholeQuiltScreen, type WholeZone } from './WholeQuiltScreen';

// The worker's answer, given at once.
jest.mock('./use-whole', () => ({
  useWhole: (request: WholeQuiltRequest) => ({ answer: matchWhole(request), problem: null }),
}));

const { zone, ...shared } = aMatch();
const hexes = ['#9db3b8', '#c6c5b8', '#33485a'];
const request: WholeQuiltRequest = {
  ...shared,
  topPrice: 3,
  zones: hexes.map((hex, i) => ({
    id: `z${i}`,
    zone: { ...zone, top: [{ fabric: 'quilting-cotton', hex }] },
  })),
};
const zones: WholeZone[] = hexes.map((_, i) => ({
  id: `z${i}`,
  letter: 'ABC'[i]!,
  name: ['Open water', 'Sand', 'Night'][i]!,
  card: null,
}));
const show = ({
  request: asked = request,
  ...part
}: Partial<React.ComponentProps<typeof WholeQuiltScreen>> & { request?: WholeQuiltRequest } = {}) =>
  render(
    <WholeQuiltScreen
      quiltId="q"
      zones={zones}
      packed={pack({ ...asked, threads: undefined })}
      list={{ text: pack(asked.threads), count: asked.threads.length }}
      {...part}
    />,
  );

const answer = matchWhole(request);
const traded = answer.zones.find((z) => z.setup!.topId !== z.own!.topId)!;

test('the fixture does trade a zone', () => {
  expect(traded).toBeDefined();
  expect(answer.together.tops.length).toBeLessThan(answer.apart.tops.length);
});

test('every zone is a row; a traded one says what it takes, what it would have taken, and the cost', () => {
  show();
  const rows = screen.getAllByRole('row').slice(1);
  expect(rows).toHaveLength(3);
  const row = rows[answer.zones.indexOf(traded)]!;
  expect(row).toHaveTextContent(traded.setup!.topId);
  expect(row).toHaveTextContent(traded.own!.topId);
  expect(row).toHaveTextContent(/worse/);
  expect(screen.getAllByText(/^instead of/)[0]).toHaveTextContent(`instead of ${answer.apart.tops.length}`);
});

test('a zone that refuses keeps its own best, and says so', async () => {
  show();
  const box = screen.getAllByRole('checkbox', { name: /keeps its own best/ })[0]!;
  await userEvent.click(box);
  const row = screen.getAllByRole('row')[1 + answer.zones.indexOf(traded)]!;
  expect(within(row).getByText('the same')).toBeInTheDocument();
  expect(within(row).getByRole('checkbox')).toBeChecked();
});

test('all cards are written with one press', async () => {
  const choose = jest.mocked(doors.chooseWhole).mockResolvedValueOnce({ ok: true, value: { cards: 3 } });
  show();
  await userEvent.click(screen.getByRole('button', { name: 'Use these 3 set-ups' }));
  const sent = choose.mock.calls.at(-1)![0] as {
    cards: { zoneId: string; topId: string; seenVersion: number }[];
  };
  expect(sent.cards.map((c) => c.zoneId)).toEqual(['z0', 'z1', 'z2']);
  expect(sent.cards.map((c) => c.topId)).toEqual(answer.zones.map((z) => z.setup!.topId));
  await waitFor(() => expect(router.refresh).toHaveBeenCalled());
});

test('cards that stand so already are not written again', () => {
  show({
    zones: zones.map((z, i) => ({
      ...z,
      card: { topId: answer.zones[i]!.setup!.topId, bobbinId: answer.zones[i]!.setup!.bobbinId, version: 2 },
    })),
  });
  expect(screen.getByRole('button', { name: 'All cards stand so' })).toBeDisabled();
});

test('a zone that was tested keeps its card', () => {
  const keep = { topId: 'Gossamer 100 Oat', bobbinId: 'Gossamer 100 Oat' };
  show({ request: { ...request, zones: request.zones.map((z, i) => (i === 0 ? { ...z, keep } : z)) } });
  const row = screen.getAllByRole('row')[1]!;
  expect(row).toHaveTextContent('tested: its card stays');
  expect(within(row).queryByRole('checkbox')).toBeNull();
});

test('a card changed meanwhile is said', async () => {
  jest.mocked(doors.chooseWhole).mockResolvedValueOnce({
    ok: false,
    conflict: true,
    problems: [{ path: 'cards.1', message: 'This card was changed in another window meanwhile.' }],
  });
  show();
  await userEvent.click(screen.getByRole('button', { name: /^Use these/ }));
  expect(await screen.findByRole('alert')).toHaveTextContent('another window');
});

test('a zone nothing suits is said in its row, and why above', () => {
  const [first, ...rest] = request.zones;
  const denim = { ...first!.zone, top: [{ fabric: 'canvas', hex: '#999999' }], technique: 'baste' };
  show({
    request: {
      ...request,
      needles: [{ nm: 90, eye: 'standard', point: 'sharp' }],
      zones: [{ ...first!, zone: denim }, ...rest],
    },
  });
  expect(screen.getAllByText(/Nothing on the shelf suits this zone/).length).toBeGreaterThan(0);
  expect(screen.getByText(/No needle in the drawer suits/)).toBeInTheDocument();
});

test.each<[string, object, RegExp]>([
  ['no thread', { threads: [] }, /No top thread on the shelf/],
  [
    'no bobbin thread',
    { threads: request.threads.map((t) => ({ ...t, role: 'top' as const })) },
    /No bobbin thread on the shelf/,
  ],
  ['no needle', { needles: [] }, /No needle/],
])('with %s at all the reason is said once, and the way to the shelf is offered', (_, part, words) => {
  show({ request: { ...request, ...part } });
  expect(screen.getByText('Nothing on the shelf suits this quilt')).toBeInTheDocument();
  expect(screen.getAllByText(words)).toHaveLength(1);
  expect(screen.getByRole('link', { name: 'See the shelf' })).toHaveAttribute('href', '/shelf');
  expect(screen.queryByRole('table')).not.toBeInTheDocument();
});
