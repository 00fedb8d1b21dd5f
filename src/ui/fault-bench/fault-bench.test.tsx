import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import type { FaultRecordOf } from '@/data/types';
import { aFault, lastSent, refuseNext } from '@/ui/testing/studio';
import { FaultBench } from './FaultBench';
import type { FoundCause } from './shown';
import { RateBars } from './RateBars';
import { fill } from '@/ui/testing/fill';

const fault = aFault({
  id: 'f',
  version: 1,
  n: 7,
  zoneLetter: 'C',
  pass: 3,
  xIn: null,
  yIn: null,
  direction: null,
  note: '',
});
const evidence: FaultRecordOf = {
  absent: [],
  facts: {},
  done: [],
  cause: null,
  ownCause: '',
  remedy: '',
  helped: null,
  minutesLost: null,
  closedAt: null,
  leftOut: false,
  version: 2,
};
const cause = (id: string, p: number, part: Partial<FoundCause> = {}): FoundCause => ({
  id,
  label: `Cause ${id}`,
  p,
  remedy: [`Do ${id}`],
  confirm: 'it is gone',
  stopWork: false,
  technician: false,
  reasons: [],
  episodes: 0,
  ...part,
});
const check = (id: string) => ({
  id,
  label: `Check ${id}`,
  minutes: 2,
  tools: ['light'],
  steps: ['Look'],
  outcomes: [
    { id: 'ok', label: 'All right' },
    { id: 'bad', label: 'Not right' },
  ],
});
const show = (part: Partial<React.ComponentProps<typeof FaultBench>> = {}) =>
  render(
    <FaultBench
      fault={fault}
      evidence={evidence}
      resolved={false}
      found={[
        cause('a', 0.999, {
          reasons: [
            { why: 'worn', multiply: 2 },
            { why: 'worn', multiply: 2 },
            { why: 'short', multiply: 0.5 },
          ],
        }),
        cause('b', 0.2, { stopWork: true, technician: true, episodes: 2 }),
        ...['c', 'd', 'e', 'g'].map((id) => cause(id, 0.001)),
      ]}
      next="one"
      checks={[check('one'), check('two')]}
      signs={[
        { id: 'skipped', label: 'Skipped stitches' },
        { id: 'loops', label: 'Loops' },
      ]}
      questions={[
        { id: 'onset', label: 'When did it begin?', answers: [{ id: 'sudden', label: 'suddenly' }] },
      ]}
      causes={[
        { id: 'a', label: 'Cause a' },
        { id: 'rare', label: 'Cause rare' },
      ]}
      setup={[{ label: 'stitches per inch', value: '11' }]}
      remedies={[{ remedy: 'a net', tried: 5, helped: 4 }]}
      episodes={0}
      {...part}
    />,
  );

test('five causes with their chances, never certain, each reason once', () => {
  show();
  const items = within(screen.getByRole('region', { name: 'Likely causes' })).getAllByRole('listitem');
  expect(items).toHaveLength(5);
  expect(items[0]).toHaveTextContent('99 %');
  expect(items[0]).toHaveTextContent(/worn.*against it: short/);
  expect(items[1]).toHaveTextContent(/Do not sew on before this is settled.*technician.*Found 2 times here/);
  expect(items[4]).toHaveTextContent('1 %');
});

test('an outcome, a question, a sign: each is sent with all that was answered before', async () => {
  show({ evidence: { ...evidence, facts: { onset: 'sudden' } } });
  await userEvent.click(screen.getByRole('button', { name: 'Not right' }));
  expect(lastSent(doors.answerFault)).toMatchObject({
    faultId: 'f',
    version: 2,
    seen: ['skipped'],
    facts: { onset: 'sudden' },
    done: [{ check: 'one', outcome: 'bad' }],
  });
  await waitFor(() => expect(screen.getByLabelText('Checked, not there')).toBeEnabled());
  await userEvent.selectOptions(screen.getByLabelText('Checked, not there'), 'Loops');
  expect(lastSent(doors.answerFault)).toMatchObject({ absent: ['loops'] });
  await waitFor(() => expect(screen.getByLabelText('When did it begin?')).toBeEnabled());
  await userEvent.selectOptions(screen.getByLabelText('When did it begin?'), 'cannot say');
  expect(lastSent(doors.answerFault)).toMatchObject({ facts: {} });
});

test('any check can be taken instead', async () => {
  show();
  await userEvent.selectOptions(screen.getByLabelText('Check something else'), 'Check two');
  expect(screen.getByRole('heading', { name: 'Check two' })).toBeVisible();
  await userEvent.click(screen.getByRole('button', { name: 'All right' }));
  expect(lastSent(doors.answerFault)).toMatchObject({ done: [{ check: 'two', outcome: 'ok' }] });
});

test('closed with its cause, what was done and whether it held; a refusal stands at its field', async () => {
  show({ resolved: true });
  expect(screen.getByRole('heading', { name: 'It is gone. What was it?' })).toBeVisible();
  expect(screen.getByText(/“a net” helped 4 of 5 times/)).toBeVisible();
  await userEvent.selectOptions(screen.getByLabelText('Cause'), 'none of these: in my own words');
  refuseNext(doors.closeFault, 'ownCause', 'Say what it was.');
  await userEvent.click(screen.getByRole('button', { name: 'Close this fault' }));
  expect(await screen.findByText('Say what it was.')).toBeVisible();
  await fill(screen.getByLabelText(/^What it was/), 'a draught');
  await fill(screen.getByLabelText(/^What you did/), 'shut the door');
  await fill(screen.getByLabelText('Minutes it took'), '12,5');
  await userEvent.click(screen.getByRole('button', { name: 'Close this fault' }));
  expect(lastSent(doors.closeFault)).toMatchObject({
    cause: null,
    ownCause: 'a draught',
    remedy: 'shut the door',
    helped: true,
    minutesLost: 12.5,
  });
});

test('a closed one tells what it was, and is opened again or left out', async () => {
  show({
    evidence: {
      ...evidence,
      cause: 'rare',
      remedy: 'a net',
      helped: true,
      minutesLost: 9,
      closedAt: new Date(),
    },
  });
  const was = screen.getByRole('region', { name: 'What it was' });
  expect(was).toHaveTextContent(/Cause rare.*a net\. A pass was sewn on without it\. It took 9 minutes/);
  await userEvent.click(screen.getByRole('button', { name: 'Leave it out' }));
  expect(lastSent(doors.reopenFault)).toMatchObject({ act: 'leave out', version: 2 });
  await waitFor(() =>
    expect(screen.getByRole('button', { name: 'It is back: open it again' })).toBeEnabled(),
  );
  await userEvent.click(screen.getByRole('button', { name: 'It is back: open it again' }));
  expect(lastSent(doors.reopenFault)).toMatchObject({ act: 'open' });
});

test('rates: what the ranges part from the mean is worded, the rest is not', () => {
  const bar = (id: string, differs: 'worse' | 'better' | 'unsure') => ({
    id,
    label: `Thread ${id}`,
    per100k: 4,
    low: 2,
    high: 7,
    mean: 3,
    differs,
    faults: 4,
    stitches: 100_000,
    href: `/faults?of=${id}`,
  });
  render(<RateBars bars={[bar('a', 'worse'), bar('b', 'better'), bar('c', 'unsure')]} />);
  const [a, b, c] = screen.getAllByRole('link');
  expect(a).toHaveTextContent('more than usual');
  expect(b).toHaveTextContent('fewer than usual');
  expect(c).not.toHaveTextContent('usual');
  expect(a).toHaveAttribute('href', '/faults?of=a');
  expect(screen.getAllByRole('img', { name: '4.0, between 2.0 and 7.0' })).toHaveLength(3);
});
