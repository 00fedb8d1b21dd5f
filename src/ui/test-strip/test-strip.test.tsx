import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { searchLadder } from '@/ui/tension-ladder/search-ladder';
import { searchOf } from '@/core/tension/search';
import { doors } from '@/actions/doors';
import type { Verdict } from '@/core/tension/probit';
import type { TestRound } from '@/data/types';
import { router } from '@/ui/testing/browser';
import { aSetup, lastSent } from '@/ui/testing/studio';
import { TestScreen } from './TestScreen';
import { VERDICT_LOOK, VERDICT_SIGN, VERDICT_WORD, VERDICTS, verdictTone, worstVerdict } from './words';
import { fill } from '@/ui/testing/fill';

const setup = aSetup();
const round = (n: number, topGf: number, verdicts: TestRound['verdicts']): TestRound => ({
  id: `r${n}`,
  setupId: 'setup-1',
  n,
  topGf,
  bobbinGf: 20,
  verdicts,
  seen: [],
  photographId: null,
  measured: null,
  note: '',
  who: null,
  sewnAt: new Date('2026-11-20T10:00:00Z'),
});
const show = (rounds: TestRound[], part: Partial<React.ComponentProps<typeof TestScreen>> = {}) =>
  render(
    <TestScreen
      quilt={{ id: 'q', name: 'Harbour Lights' }}
      zone={{ id: 'zone-a', name: 'Open water', letter: 'C' }}
      setup={setup}
      search={searchOf(setup, rounds, 1.4, 900)}
      ladder={searchLadder(searchOf(setup, rounds, 1.4, 900))}
      measured={[]}
      thicknessMm={1.4}
      colours={{ top: '#6e3b63', bobbin: '#e0b64f', cloth: '#9db3b8', backing: '#d8cfbb' }}
      {...part}
    />,
  );
const four = (v: Verdict) => ({ away: v, toward: v, left: v, right: v });

describe('the seven verdicts', () => {
  test('each has a look, a word and a sign of its own', () => {
    for (const table of [VERDICT_LOOK, VERDICT_WORD, VERDICT_SIGN])
      expect(new Set(VERDICTS.map((v) => table[v])).size).toBe(7);
  });
  test('−3 is the bobbin thread flat on the back, +3 the top thread flat on the top', () => {
    expect(VERDICT_LOOK[-3]).toMatch(/Bobbin flat on the back/);
    expect(VERDICT_LOOK[3]).toMatch(/Top flat on the top/);
  });
  test('a loose top is told to tighten, a tight one to loosen', () => {
    expect(VERDICT_SIGN[-2]).toBe('▲▲');
    expect(VERDICT_SIGN[2]).toBe('▼▼');
    expect([0, 1, -1, 3].map((v) => verdictTone(v as Verdict))).toEqual([
      'good',
      'caution',
      'caution',
      'fault',
    ]);
  });
  test('the verdict furthest from balance stands for the test, the tight one of a tie', () => {
    expect(worstVerdict([0, 1, -2, 0])).toBe(-2);
    expect(worstVerdict([-2, 2])).toBe(2);
    expect(worstVerdict([])).toBe(0);
  });
});

test('before the first test the guess is to be sewn, and no verdict is chosen', () => {
  show([]);
  expect(screen.getByText('Test 1, sew this next')).toBeInTheDocument();
  for (const tile of screen.getAllByRole('radio', { name: /balanced|bobbin|top/i }))
    expect(tile).not.toBeChecked();
});

test('each direction keeps its own verdict, and all are sent with the numbers', async () => {
  const log = jest.mocked(doors.logTest).mockResolvedValueOnce({ ok: true, value: { n: 1, done: false } });
  show([]);
  await userEvent.click(screen.getByRole('radio', { name: 'Away' }));
  await userEvent.click(screen.getByRole('radio', { name: VERDICT_LOOK[2] }));
  await userEvent.click(screen.getByRole('radio', { name: 'To the left' }));
  await userEvent.click(screen.getByRole('radio', { name: VERDICT_LOOK[0] }));
  await fill(screen.getByLabelText('Note'), 'on the spare batik');
  await userEvent.click(screen.getByRole('button', { name: 'Test 1 is sewn' }));
  expect(log.mock.calls.at(-1)![0]).toMatchObject({
    quiltId: 'q',
    zoneId: 'zone-a',
    setupId: 'setup-1',
    n: 1,
    topGf: 100,
    bobbinGf: 20,
    verdicts: { away: 2, left: 0 },
    note: 'on the spare batik',
  });
  await waitFor(() => expect(router.refresh).toHaveBeenCalled());
});

test('tensions that are not numbers come back to their field, and nothing typed is lost', async () => {
  jest.mocked(doors.logTest).mockResolvedValueOnce({
    ok: false,
    problems: [
      { path: 'topGf', message: 'Give the top tension in g as a number, such as 108.' },
      { path: 'verdicts', message: 'Say how at least one direction looks before storing the test.' },
    ],
  });
  show([]);
  const top = screen.getByLabelText('Top, g');
  await userEvent.clear(top);
  await fill(top, 'tight');
  await userEvent.click(screen.getByRole('button', { name: 'Test 1 is sewn' }));
  expect(await screen.findByText(/Give the top tension in g/)).toBeInTheDocument();
  expect(screen.getByText(/at least one direction/)).toBeInTheDocument();
  expect(top).toHaveValue('tight');
});

test.each([
  ['a tight top is to be loosened', 2 as Verdict, /^Loosen top tension/],
  ['a loose top is to be tightened', -2 as Verdict, /^Tighten top tension/],
])('%s', (_, verdict, title) => {
  show([round(1, 100, four(verdict))]);
  expect(screen.getByRole('heading', { name: title })).toBeInTheDocument();
  expect(screen.getByText('Test 1:', { exact: false })).toBeInTheDocument();
});

test('balanced twice in every direction is done: the card, or one more test', async () => {
  show([round(1, 100, four(0)), round(2, 100, four(0))]);
  expect(screen.getByRole('heading', { name: 'Balanced: leave it so' })).toBeInTheDocument();
  expect(screen.getByRole('link', { name: 'See the setting card' })).toHaveAttribute(
    'href',
    '/quilts/q/match?zone=zone-a',
  );
  expect(screen.queryByRole('button', { name: /is sewn/ })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Sew another test' }));
  expect(screen.getByRole('button', { name: 'Test 3 is sewn' })).toBeInTheDocument();
});

test('directions that differ by two steps are no matter of tension', () => {
  show([round(1, 100, { away: 0, toward: 0, left: 2, right: -1 })]);
  expect(screen.getByText(/note it with F, with the direction/)).toBeInTheDocument();
});

test('where directions differ the quick cures come first, each with what came of it', async () => {
  show([round(1, 100, { away: 0, toward: 0, left: 2, right: -1 })], {
    cures: [{ id: 'c', kind: 'net', outcome: 'same', at: new Date() }],
    cureCounts: [{ kind: 'net', tried: 5, better: 4 }],
  });
  const cures = await screen.findByRole('region', { name: 'Quick cures' });
  expect(within(cures).getAllByRole('listitem')).toHaveLength(4);
  expect(within(cures).getByText(/helped 4 of 5 times here/)).toBeVisible();
  expect(within(cures).getByText('Tried: it changed nothing.')).toBeVisible();
  await userEvent.click(
    within(within(cures).getByRole('group', { name: 'What a new needle did' })).getByRole('button', {
      name: 'It helped',
    }),
  );
  expect(lastSent(doors.tryCure)).toMatchObject({
    setupId: 'setup-1',
    kind: 'needle',
    outcome: 'better',
  });
});

test('what else is seen goes with the test', async () => {
  show([]);
  await userEvent.click(screen.getByRole('radio', { name: VERDICT_LOOK[0] }));
  await userEvent.click(screen.getByRole('button', { name: 'skips' }));
  await userEvent.click(screen.getByRole('button', { name: 'Test 1 is sewn' }));
  expect(lastSent(doors.logTest)).toMatchObject({ n: 1, seen: ['skipped'] });
});

test('a proof turned back says why, and asks for one test more', () => {
  show([round(1, 100, four(0)), round(2, 100, four(0))], {
    setup: aSetup({
      turnedBack: {
        provenAt: new Date('2026-11-12T10:00:00Z'),
        why: ['the batting is Wool now; it was Cotton'],
      },
    }),
  });
  expect(screen.getByRole('status')).toHaveTextContent(/Balanced on 12 Nov, but the batting is Wool now/);
  expect(screen.getByRole('button', { name: 'Test 3 is sewn' })).toBeInTheDocument();
});

test('one test is opened: its note, and beside it another', async () => {
  show([round(1, 118, four(2)), round(2, 104, four(0))]);
  await userEvent.click(screen.getByRole('button', { name: 'Open test 2' }));
  const dialog = await screen.findByRole('dialog');
  await userEvent.selectOptions(within(dialog).getByLabelText('Beside it'), 'test 1');
  expect(within(dialog).getAllByRole('region')).toHaveLength(2);
  expect(within(dialog).getByText('From test 1 to test 2: top down 14 g.')).toBeVisible();
  await fill(within(dialog).getByLabelText('Note'), 'on the hem');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Keep test 2' }));
  expect(lastSent(doors.amendRound)).toMatchObject({ roundId: 'r2', note: 'on the hem' });
});

test('the stand-in sews the test: its appearances stand in the tiles', async () => {
  show([]);
  await userEvent.click(await screen.findByText(/practise with the stand-ins/));
  await userEvent.click(screen.getByRole('button', { name: 'Read the gauge' }));
  expect(await screen.findByText(/The gauge reads \d+, \d+, \d+ g/)).toBeVisible();
  await userEvent.click(screen.getByRole('button', { name: 'Sew it on the stand-in' }));
  await userEvent.click(screen.getByRole('button', { name: 'Test 1 is sewn' }));
  const { verdicts } = lastSent(doors.logTest) as { verdicts: Record<string, number> };
  expect(Object.keys(verdicts)).toEqual(['away', 'toward', 'left', 'right']);
});

test('the ladder is told in words', () => {
  show([round(1, 100, four(1))]);
  expect(
    screen.getByRole('img', { name: /^Top tension: likely between \d+ and \d+ g; next \d+ g$/ }),
  ).toBeInTheDocument();
});

test('every test lies on the strip, which scrolls in itself when they are many', () => {
  show([1, 2, 3, 4, 5, 6].map((n) => round(n, 100 - n, four(1))));
  const strip = screen.getByRole('list', { name: 'Tests in order' });
  expect(strip).toHaveAttribute('tabindex', '0');
  expect(within(strip).getByText('Test 2:', { exact: false })).toBeInTheDocument();
  expect(within(strip).getAllByText('top down 1 g')).toHaveLength(5);
  expect(within(strip).getByText('Test 6:', { exact: false })).toBeInTheDocument();
});
