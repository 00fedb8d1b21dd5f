import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import { signs } from '@/core/tables/symptoms';
import { aFault, aQuilt, aZone } from '@/ui/testing/studio';
import { FaultDialog } from './FaultDialog';
import { FaultTable } from './FaultTable';
import { Compass } from './Compass';
import { drawnSigns, signDrawing } from './sign-drawing';
import { SignTiles } from './SignTiles';
import { fill } from '@/ui/testing/fill';

const first = signs.get('skipped');
const fault = aFault;
const order = [...signs.ids];

describe('signs as they look', () => {
  test('every sign of the table is drawn, each in its own way, within its frame', () => {
    expect([...drawnSigns].sort()).toEqual([...signs.ids].sort());
    const drawn = signs.ids.map((id) =>
      signDrawing(id)!
        .marks.map((m) => `${m.d}${m.stroke ?? ''}${m.fill ?? ''}`)
        .join(' '),
    );
    expect(signs.ids.filter((_, i) => drawn.indexOf(drawn[i]!) !== i)).toEqual([]);
    for (const d of drawn) expect(d).not.toMatch(/NaN|undefined|Infinity/);
    expect(signDrawing('no such sign')).toBeNull();
  });
});

describe('picking what was seen', () => {
  const tiles = (value: string[] = []) => {
    const onChange = jest.fn();
    render(<SignTiles order={order} value={value} onChange={onChange} />);
    return onChange;
  };
  const shown = () => screen.getAllByRole('button', { pressed: false });

  test('the twelve likeliest come first, all others when asked for', async () => {
    tiles();
    expect(shown().filter((b) => b.hasAttribute('aria-pressed'))).toHaveLength(12);
    await userEvent.click(screen.getByRole('button', { name: `All ${signs.rows.length} signs` }));
    expect(shown()).toHaveLength(signs.rows.length);
  });
  test('letters narrow them, and what is picked stays', async () => {
    tiles(['top_break']);
    await fill(screen.getByLabelText('Search by name'), 'skip');
    expect(screen.getByRole('button', { name: first.label })).toBeInTheDocument();
    expect(screen.getByRole('button', { pressed: true })).toHaveTextContent('Top thread breaks');
    await fill(screen.getByLabelText('Search by name'), 'zzzz');
    expect(screen.getByText(/Nothing in the list reads like that/)).toBeInTheDocument();
  });
  test('pressing picks, pressing again lets go', async () => {
    const onChange = tiles([first.id]);
    await userEvent.click(screen.getByRole('button', { name: first.label }));
    await userEvent.click(screen.getByRole('button', { name: signs.get('top_break').label }));
    expect(onChange.mock.calls).toEqual([[[]], [[first.id, 'top_break']]]);
  });
});

test('the compass: one way or one place, and none again', async () => {
  const onChange = jest.fn();
  const { rerender } = render(<Compass value={null} onChange={onChange} />);
  await userEvent.click(screen.getByRole('button', { name: 'To the left' }));
  rerender(<Compass value="seam" onChange={onChange} />);
  expect(screen.getByRole('button', { pressed: true })).toHaveTextContent('Over a seam');
  await userEvent.click(screen.getByRole('button', { name: 'Over a seam' }));
  expect(onChange.mock.calls).toEqual([['left'], [null]]);
});

describe('noting a fault', () => {
  const dialog = async (onClose = jest.fn()) => {
    global.fetch = jest.fn().mockResolvedValue({
      ok: true,
      json: async () => [first.id, ...order.filter((s) => s !== first.id)],
    } as Response);
    render(
      <FaultDialog
        quilt={aQuilt({ passes: 10, depthsIn: null })}
        zones={[aZone()]}
        zoneId="zone-a"
        onClose={onClose}
      />,
    );
    await screen.findByRole('button', { name: first.label });
    return onClose;
  };
  const noted = () =>
    jest.mocked(doors.logFault).mockResolvedValueOnce({
      ok: true,
      value: { id: 'f9', n: 7, version: 1, known: 'Fog above' },
    } as never);

  test('what is seen is kept at once; all else is told after', async () => {
    const log = noted();
    const tell = jest
      .mocked(doors.tellFault)
      .mockResolvedValueOnce({ ok: true, value: { version: 2 } } as never);
    const onClose = await dialog();
    expect(screen.getByRole('dialog')).toHaveAccessibleDescription(/Stop sewing first/);
    await userEvent.click(screen.getByRole('button', { name: first.label }));
    await userEvent.click(screen.getByRole('button', { name: 'Note it without a place' }));
    expect(log.mock.calls.at(-1)![0]).toMatchObject({
      quiltId: 'quilt-1',
      zoneId: 'zone-a',
      symptoms: [first.id],
      xIn: null,
    });
    expect(await screen.findByRole('heading', { name: 'Fault 7 is noted' })).toBeInTheDocument();
    expect(screen.getByText(/Kept with it from card and log: Fog above/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('radio', { name: '2' }));
    expect(screen.getByText(first.severity[2])).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Over a seam' }));
    await fill(screen.getByLabelText(/^From the left/), '12,5');
    await fill(screen.getByLabelText(/^From the top/), '3');
    await fill(screen.getByLabelText('Note'), 'on the way back');
    await userEvent.click(screen.getByRole('button', { name: 'Keep it so' }));
    expect(tell.mock.calls.at(-1)![0]).toMatchObject({
      faultId: 'f9',
      version: 1,
      severity: 2,
      direction: 'seam',
      xIn: 12.5,
      yIn: 3,
      harmless: false,
      note: 'on the way back',
    });
    await waitFor(() => expect(onClose).toHaveBeenCalled());
  });
  test('problems stand at their fields, the dialog stays, and so does what was typed', async () => {
    noted();
    jest.mocked(doors.tellFault).mockResolvedValueOnce({
      ok: false,
      problems: [{ path: 'xIn', message: 'That is beyond the quilt.' }],
    });
    const onClose = await dialog();
    await userEvent.click(screen.getByRole('button', { name: first.label }));
    await userEvent.click(screen.getByRole('button', { name: 'Note it without a place' }));
    await fill(await screen.findByLabelText(/^From the left/), '900');
    await userEvent.click(screen.getByRole('radio', { name: /judged harmless/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Keep it so' }));
    await waitFor(() => expect(screen.getByLabelText(/^From the left/)).toBeInvalid());
    expect(screen.getByLabelText(/^From the left/)).toHaveValue('900');
    expect(onClose).not.toHaveBeenCalled();
  });
  test('noted by mistake, it is taken back', async () => {
    noted();
    const back = jest
      .mocked(doors.takeBackFault)
      .mockResolvedValueOnce({ ok: true, value: { id: 'f9' } } as never);
    const onClose = await dialog();
    await userEvent.click(screen.getByRole('button', { name: first.label }));
    await userEvent.click(screen.getByRole('button', { name: 'Note it without a place' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Take it back' }));
    expect(back.mock.calls.at(-1)![0]).toMatchObject({ faultId: 'f9', version: 1 });
    await waitFor(() => expect(onClose).toHaveBeenCalled());
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
    ['mended', 'Open again', 'open'],
  ] as const)('%s: pressing %s makes it %s, for the version seen', async (status, button, to) => {
    const set = jest
      .mocked(doors.setFaultStatus)
      .mockResolvedValueOnce({ ok: true, value: { version: 5 } } as never);
    render(<FaultTable faults={[fault({ status })]} />);
    await userEvent.click(within(screen.getAllByRole('row')[1]!).getByRole('button', { name: button }));
    await waitFor(() =>
      expect(set).toHaveBeenLastCalledWith({
        key: expect.any(String),
        faultId: 'f1',
        version: 4,
        status: to,
        word: '',
      }),
    );
  });
  test('accepted as it is only with a word', async () => {
    const set = jest
      .mocked(doors.setFaultStatus)
      .mockResolvedValueOnce({ ok: true, value: { version: 5 } } as never);
    render(<FaultTable faults={[fault()]} />);
    await userEvent.click(screen.getByRole('button', { name: 'Accept as it is' }));
    expect(screen.getByRole('button', { name: 'Accept' })).toBeDisabled();
    await fill(screen.getByLabelText('Why fault 1 may stay'), 'client agreed');
    await userEvent.click(screen.getByRole('button', { name: 'Accept' }));
    await waitFor(() =>
      expect(set.mock.calls.at(-1)![0]).toMatchObject({ status: 'left', version: 4, word: 'client agreed' }),
    );
  });
});
