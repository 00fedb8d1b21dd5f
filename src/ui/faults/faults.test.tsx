import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import * as actions from '@/actions/server';
import { symptoms } from '@/core/tables/symptoms';
import type { Fault } from '@/data/types';
import { aQuilt, aZone } from '@/ui/testing/studio';
import { FaultDialog } from './FaultDialog';
import { FaultTable } from './FaultTable';
import { SymptomPicker } from './SymptomPicker';

const first = symptoms.rows[0]!;
const fault = (part: Partial<Fault> = {}): Fault => ({
  id: 'f1',
  quiltId: 'quilt-1',
  zoneId: 'zone-a',
  zoneLetter: 'A',
  n: 1,
  xIn: 12,
  yIn: 3.5,
  pass: 2,
  direction: 'left',
  note: 'Over the seam',
  status: 'open',
  noticedAt: new Date('2026-11-20T14:05:00'),
  version: 4,
  symptoms: [first.id],
  ...part,
});

describe('picking what was seen', () => {
  const picker = (value: string[] = []) => {
    const onChange = jest.fn();
    render(<SymptomPicker value={value} onChange={onChange} invalid={false} />);
    return onChange;
  };
  test('every symptom of the table can be picked, under where it is seen', () => {
    picker();
    expect(screen.getAllByRole('checkbox')).toHaveLength(symptoms.rows.length);
    expect(screen.getAllByRole('heading', { level: 3 }).map((h) => h.textContent)).toEqual([
      'On the top',
      'On the back',
      'On both faces',
      'At the machine',
    ]);
  });
  test('letters narrow the list, and what is picked stays in it', async () => {
    picker([first.id]);
    await userEvent.type(screen.getByLabelText('Find a sign'), 'skip');
    const shown = screen.getAllByRole('checkbox');
    expect(shown.length).toBeLessThan(symptoms.rows.length);
    expect(screen.getByRole('checkbox', { name: first.label })).toBeChecked();
  });
  test('letters that nothing reads like are answered', async () => {
    picker();
    await userEvent.type(screen.getByLabelText('Find a sign'), 'zzzz');
    expect(screen.getByText(/Nothing in the list reads like that/)).toBeInTheDocument();
  });
  test('pressing picks, pressing again lets go', async () => {
    const onChange = picker([first.id]);
    await userEvent.click(screen.getByRole('checkbox', { name: first.label }));
    await userEvent.click(screen.getByRole('checkbox', { name: symptoms.rows[1]!.label }));
    expect(onChange.mock.calls).toEqual([[[]], [[first.id, symptoms.rows[1]!.id]]]);
  });
});

describe('noting a fault', () => {
  const dialog = (onClose = jest.fn()) => {
    render(
      <FaultDialog
        quilt={aQuilt({ passes: 10, depthsIn: null })}
        zones={[aZone()]}
        zoneId="zone-a"
        onClose={onClose}
      />,
    );
    return onClose;
  };
  test('what is seen, where and in which pass are sent; the zone is the one looked at', async () => {
    const log = jest
      .mocked(actions.logFaultAction)
      .mockResolvedValueOnce({ ok: true, value: { n: 7 } } as never);
    const onClose = dialog();
    await userEvent.click(screen.getByRole('checkbox', { name: first.label }));
    await userEvent.type(screen.getByLabelText('From the left, in'), '12,5');
    await userEvent.type(screen.getByLabelText('From the top, in'), '3');
    await userEvent.type(screen.getByLabelText('Pass'), '2');
    await userEvent.type(screen.getByLabelText('Note'), 'on the way back');
    await userEvent.click(screen.getByRole('button', { name: 'Note this fault' }));
    expect(log.mock.calls.at(-1)![0]).toMatchObject({
      quiltId: 'quilt-1',
      zoneId: 'zone-a',
      symptoms: [first.id],
      xIn: 12.5,
      yIn: 3,
      pass: 2,
      direction: null,
      note: 'on the way back',
    });
    await waitFor(() => expect(onClose).toHaveBeenCalled());
  });
  test('problems stand at their fields, the dialog stays, and so does what was typed', async () => {
    jest.mocked(actions.logFaultAction).mockResolvedValueOnce({
      ok: false,
      problems: [
        { path: 'symptoms', message: 'Say what you saw: pick at least one.' },
        { path: 'xIn', message: 'That is beyond the quilt.' },
      ],
    });
    const onClose = dialog();
    await userEvent.type(screen.getByLabelText('From the left, in'), '900');
    await userEvent.click(screen.getByRole('button', { name: 'Note this fault' }));
    expect(await screen.findByText('Say what you saw: pick at least one.')).toBeInTheDocument();
    expect(screen.getByLabelText('From the left, in')).toBeInvalid();
    expect(screen.getByLabelText('From the left, in')).toHaveValue('900');
    expect(onClose).not.toHaveBeenCalled();
  });
  test('a place given in inches is pinned on the map', async () => {
    dialog();
    await userEvent.type(screen.getByLabelText('From the left, in'), '10');
    await userEvent.type(screen.getByLabelText('From the top, in'), '20');
    const map = screen.getByRole('img', { name: /^Quilt map/ });
    expect(map.querySelector('g[transform^="translate(10 20)"]')).not.toBeNull();
  });
  test('it says to stop first', () => {
    dialog();
    expect(screen.getByRole('dialog')).toHaveAccessibleDescription(/Stop sewing first/);
  });
});

describe('the table of faults', () => {
  test('none noted teaches how', () => {
    render(<FaultTable faults={[]} />);
    expect(screen.getByRole('heading', { name: 'No fault noted' })).toBeInTheDocument();
  });
  test('what, where and when stand in a row', () => {
    render(<FaultTable faults={[fault()]} />);
    const row = screen.getAllByRole('row')[1]!;
    expect(row).toHaveTextContent(first.label);
    expect(row).toHaveTextContent('zone A · pass 2 · to the left · 12, 3.5 in');
    expect(row).toHaveTextContent('20 Nov, 14:05');
  });
  test('a fault without a place or a zone is shown without them', () => {
    render(
      <FaultTable
        faults={[fault({ zoneLetter: null, xIn: null, yIn: null, pass: null, direction: null })]}
      />,
    );
    expect(screen.getAllByRole('row')[1]).not.toHaveTextContent('null');
  });
  test.each([
    ['open', 'Mended', 'mended'],
    ['open', 'Leave', 'left'],
    ['mended', 'Open again', 'open'],
  ] as const)('%s: pressing %s makes it %s, for the version seen', async (status, button, to) => {
    const set = jest
      .mocked(actions.setFaultStatusAction)
      .mockResolvedValueOnce({ ok: true, value: { version: 5 } } as never);
    render(<FaultTable faults={[fault({ status })]} />);
    await userEvent.click(within(screen.getAllByRole('row')[1]!).getByRole('button', { name: button }));
    await waitFor(() =>
      expect(set).toHaveBeenLastCalledWith({
        key: expect.any(String),
        faultId: 'f1',
        version: 4,
        status: to,
      }),
    );
  });
});
