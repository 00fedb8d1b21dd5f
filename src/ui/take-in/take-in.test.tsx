import { fireEvent, act, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { AskedDay } from '@/actions/offer-day';
import { doors } from '@/actions/doors';
import { battings as battingKinds } from '@/core/tables/battings';
import { fabrics as fabricKinds } from '@/core/tables/fabrics';
import type { StudioBatting, StudioFabric } from '@/data/types';
import { router } from '@/ui/testing/browser';
import { aMachine, aZone, lastSent, refuseNext } from '@/ui/testing/studio';
import { BeginTalk } from './BeginTalk';
import { MachineChoice } from './MachineChoice';
import { talkPages } from './pages';
import { Photographs } from './Photographs';
import { Talk } from './Talk';
import { TalkCautions } from './TalkCautions';
import { ZoneDialog } from './ZoneDialog';
import { ZoneTable } from './ZoneTable';
import { fill } from '@/ui/testing/fill';

const fabrics: StudioFabric[] = fabricKinds.rows.map((f) => ({
  id: `fabric-${f.id}`,
  kind: f.id,
  name: f.label,
  hex: null,
  notes: '',
  shipped: true,
  version: 1,
}));
const battings: StudioBatting[] = battingKinds.rows.map((b) => ({
  id: `batting-${b.id}`,
  kind: b.id,
  name: b.label,
  loftMm: null,
  maxGapIn: null,
  ratingText: '',
  shrinkPct: null,
  notes: '',
  shipped: true,
  version: 1,
}));
const machines = [aMachine()];
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

describe('the pages of the talk', () => {
  const pages = talkPages({
    clients: ['Odile Marsh'],
    fabrics,
    battings,
    machines,
    currency: 'EUR',
    intake: { data: {} },
  });
  test('are five, and every field stands on one of them only', () => {
    expect(pages).toHaveLength(5);
    const names = pages.flatMap((p) => p.paths);
    expect(new Set(names).size).toBe(names.length);
  });
  test.each([
    ['whole', []],
    ['bordered', ['borderIn']],
    ['blocks', ['borderIn', 'sashIn', 'columns', 'rows']],
    ['medallion', ['borderIn', 'columns']],
    ['strips', ['columns']],
  ])('laid out as %s it asks for %j', (plan, expected) => {
    const asked = pages[4]!.specs.filter((s) => s.when && s.when({ plan })).map((s) => s.name);
    expect(asked).toEqual(expected);
  });
  test('clients known are offered', () => {
    expect(pages[0]!.specs.find((s) => s.name === 'client')?.suggest).toEqual(['Odile Marsh']);
  });
});

describe('the talk', () => {
  const talk = (data: Record<string, unknown> = {}, step = 1) =>
    render(
      <Talk
        intake={{ id: 'intake-1', step, data, version: 3 }}
        fabrics={fabrics}
        battings={battings}
        machines={machines}
        clients={['Odile Marsh']}
        photographs={[]}
        usualDue="2026-12-24"
        currency="EUR"
      />,
    );
  const asked: AskedDay = {
    hours: { low: 2, mid: 2.5, high: 3.2 },
    mendMinutes: 12,
    day: '2026-12-18',
    asked: { day: '2026-12-24', chance: 0.97 },
    rush: { chance: 0.99, moves: [], allowed: true },
  };
  const dayAsked = (part: Partial<AskedDay> = {}) =>
    jest.mocked(doors.askDay).mockResolvedValue({ ok: true, value: { ...asked, ...part } });
  beforeEach(() => dayAsked());
  test('the day that can be promised stands there, and one press promises it', async () => {
    talk({}, 5);
    const ready = await screen.findByText(/By Fri 18 Dec: 9 in 10/);
    expect(ready.closest('section')).toHaveTextContent('2.0 to 3.2 h at the frame, 12 min to set right');
    await press('Promise Fri 18 Dec');
    expect(screen.getByLabelText('Promised for')).toHaveValue('2026-12-18');
  });
  test('a day too near says what a rush would take, and whom it moves', async () => {
    dayAsked({
      asked: { day: '2026-12-24', chance: 0.4 },
      rush: { chance: 0.7, moves: [{ name: 'Salt Pans', before: 0.95, after: 0.6 }], allowed: false },
    });
    talk({}, 5);
    expect(await screen.findByText(/as it stands above: 4 in 10.*Ask that client first/)).toBeInTheDocument();
    expect(screen.getByText('Salt Pans: 9 in 10 → 6 in 10')).toBeInTheDocument();
  });
  test('a press that leaves a wrong box still lands: the page turns', async () => {
    talk();
    await fill(screen.getByLabelText('E-mail'), 'nan at harbour');
    const next = screen.getByRole('button', { name: /^Next: How large/ });
    fireEvent.pointerDown(next);
    fireEvent.blur(screen.getByLabelText('E-mail'));
    expect(screen.queryByText(/Write the address/)).toBeNull();
    fireEvent.pointerUp(next);
    expect(await screen.findByText(/Write the address like/)).toBeInTheDocument();
  });
  test('a wrong address is said as the box is left, not at the end', async () => {
    talk();
    await fill(screen.getByLabelText('E-mail'), 'nan at harbour');
    expect(screen.queryByText(/Write the address/)).toBeNull();
    await userEvent.tab();
    expect(screen.getByText(/Write the address like/)).toBeInTheDocument();
  });
  beforeEach(() =>
    jest
      .mocked(doors.keepIntake)
      .mockImplementation((input) =>
        Promise.resolve({ ok: true, value: { version: (input as { version: number }).version + 1 } }),
      ),
  );

  test('what is typed is kept by itself after a pause', async () => {
    talk();
    await fill(screen.getByLabelText('The quilt’s name'), 'Tern');
    expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Take in: Tern');
    await waitFor(() => expect(doors.keepIntake).toHaveBeenCalled(), { timeout: 3000 });
    expect(lastSent(doors.keepIntake)).toMatchObject({
      id: 'intake-1',
      version: 3,
      step: 1,
      data: { name: 'Tern' },
    });
    expect(await screen.findByText('saved')).toBeInTheDocument();
  });
  test('each step is kept at once, with the version the last one answered', async () => {
    talk();
    await press(/^Next: How large/);
    await press(/^Next: What it is made of/);
    await waitFor(() => expect(doors.keepIntake).toHaveBeenCalledTimes(2));
    const versions = jest
      .mocked(doors.keepIntake)
      .mock.calls.map(([i]) => (i as { version: number; step: number }).version);
    expect(versions).toEqual([3, 4]);
  });
  test('when the studio’s computer does not answer, it is said and what was typed stays', async () => {
    jest.mocked(doors.keepIntake).mockRejectedValueOnce(new TypeError('Failed to fetch'));
    talk({ record: { name: 'Tern' } });
    await press(/^Next: How large/);
    expect(await screen.findByText(/Not kept yet/)).toBeInTheDocument();
    await press('Back');
    expect(screen.getByLabelText('The quilt’s name')).toHaveValue('Tern');
  });
  test('a second window is told', async () => {
    talk();
    refuseNext(doors.keepIntake, '', 'This intake went on in another window.');
    await press(/^Next: How large/);
    expect(await screen.findByText(/went on in another window/)).toBeInTheDocument();
  });
  test('three widths say at once whether it is square', async () => {
    talk({ widths: ['64', '66', '64'], lengths: ['80', '80', ''] }, 2);
    expect(screen.getByText(/The middle is up to 2 in fuller than the edges/)).toBeInTheDocument();
    await fill(screen.getByLabelText('at the right'), '80.2');
    expect(screen.getByText(/The lengths agree within 0.2 in/)).toBeInTheDocument();
  });
  test('fabrics are added and taken out, the last one stays', async () => {
    talk({}, 3);
    expect(screen.getByRole('button', { name: 'Take fabric 1 out' })).toBeDisabled();
    await press(/Another fabric/);
    await press('Take fabric 1 out');
    expect(screen.getAllByLabelText('Share, %')).toHaveLength(1);
    expect(screen.getByLabelText('Share, %')).toHaveValue('20');
  });
  test('the plan is sketched to scale as it is described', () => {
    talk({ widths: ['64', '64', '64'], lengths: ['80', '80', '80'] }, 5);
    expect(screen.getByRole('img', { name: /^64 by 80 in: / })).toBeInTheDocument();
  });
  test('all is sent in its units; what is to mend leads back to its page', async () => {
    talk(
      {
        record: { client: 'Odile Marsh', name: 'Tern', borderIn: '6' },
        widths: ['64', '64', '64'],
        lengths: ['80', '80', '80'],
        cloths: [{ fabricId: 'fabric-linen', hex: '#112233', share: '75' }],
      },
      5,
    );
    refuseNext(doors.takeIn, 'client', 'Whose quilt is it?');
    await press('Take it in');
    await waitFor(() => expect(doors.takeIn).toHaveBeenCalled());
    expect(lastSent(doors.takeIn)).toMatchObject({
      intakeId: 'intake-1',
      client: 'Odile Marsh',
      widthsIn: [64, 64, 64],
      borderIn: 6,
      sashIn: null,
      fabrics: [
        {
          fabricId: 'fabric-linen',
          hex: '#112233',
          share: 0.75,
          role: 'ground',
          sewnOver: true,
          busyness: null,
        },
      ],
    });
    await userEvent.click(
      await screen.findByRole('button', { name: /Whose, and what for: Whose quilt is it/ }),
    );
    expect(screen.getByLabelText('Client, new or known')).toHaveAttribute('aria-invalid', 'true');
  });
  test('taken in, it leads to the quilt', async () => {
    jest.mocked(doors.takeIn).mockResolvedValueOnce({ ok: true, value: { id: 'quilt-9' } } as never);
    talk({}, 5);
    await press('Take it in');
    await waitFor(() => expect(router.push).toHaveBeenCalledWith('/quilts/quilt-9/take-in'));
  });
});

describe('what to mind at the counter', () => {
  const mind = (part: Partial<Parameters<typeof TalkCautions>[0]>) =>
    render(
      <TalkCautions
        step={3}
        use="bed"
        features={[]}
        battingKind="cotton-80-20"
        clothKinds={['quilting-cotton']}
        machine={aMachine()}
        size={[64, 80]}
        {...part}
      />,
    ).container;
  test.each<[string, Partial<Parameters<typeof TalkCautions>[0]>, RegExp]>([
    ['beads on a baby’s quilt', { use: 'baby', features: ['beads'] }, /can be swallowed/],
    ['bulky seams', { features: ['bulky-seams'] }, /wear eye protection/],
    ['a fabric nobody knows', { clothKinds: ['unknown'] }, /tested on its own scrap first/],
    ['flannel', { clothKinds: ['flannel'] }, /Prewash hot/],
    ['marks', {}, /may come back in the cold/],
    ['an unmarked batting', { step: 4, battingKind: 'unknown' }, /strictest: no gap wider than 2 in/],
    ['sprays', { step: 4 }, /away from|off the machine|Ventilate/],
    ['a top wider than the frame', { step: 5, size: [140, 150] }, /wider than the frame/],
    ['a heavy roller', { step: 5 }, /two people for a heavy roller/],
  ])('%s', (_, part, words) => expect(mind(part)).toHaveTextContent(words));
  test('beads on a bed quilt are not a child’s danger', () => {
    expect(mind({ features: ['beads'] })).not.toHaveTextContent(/swallowed/);
  });
  test('a top that fits one way round is not refused', () => {
    expect(mind({ step: 5, size: [140, 90] })).not.toHaveTextContent(/wider than the frame/);
  });
  test('pages without anything to mind stay quiet', () => {
    expect(mind({ step: 1 })).toBeEmptyDOMElement();
  });
});

describe('a zone', () => {
  const zone = aZone({
    fabrics: [
      {
        fabricId: 'fabric-batik',
        kind: 'batik',
        name: 'Tide batik',
        hex: '#123456',
        share: 0.6,
        role: 'ground',
        sewnOver: true,
        busyness: null,
      },
      {
        fabricId: 'fabric-linen',
        kind: 'linen',
        name: 'Sail linen',
        hex: '#654321',
        share: 0.4,
        role: 'ground',
        sewnOver: true,
        busyness: null,
      },
    ],
    features: ['bulky-seams'],
  });
  test('the table says its fabrics, its technique, its area and its wish', () => {
    render(<ZoneTable zones={[zone]} fabrics={fabrics} yarns={[]} />);
    const row = screen.getByRole('row', { name: /Harbour border/ });
    for (const words of ['Tide batik, Sail linen', 'bulky seams', 'swirls', '0.5 in', '512 in²', 'to sink'])
      expect(row).toHaveTextContent(words);
  });
  test('is changed with its version; shares are sent as parts of one', async () => {
    const onClose = jest.fn();
    render(<ZoneDialog zone={zone} fabrics={fabrics} yarns={[]} onClose={onClose} />);
    const apart = screen.getByLabelText(/^Spacing/);
    await userEvent.clear(apart);
    await fill(apart, '0,75');
    await userEvent.click(screen.getByRole('checkbox', { name: 'beads' }));
    await press('Save');
    expect(lastSent(doors.keepZone)).toMatchObject({
      id: 'zone-a',
      version: 1,
      technique: 'swirls',
      spacingIn: 0.75,
      smallestRadiusIn: null,
      features: ['bulky-seams', 'beads'],
      fabrics: [
        { fabricId: 'fabric-batik', share: 0.6 },
        { fabricId: 'fabric-linen', share: 0.4 },
      ],
    });
    await waitFor(() => expect(onClose).toHaveBeenCalled());
  });
  test('a refusal stands at the fabric it is about', async () => {
    render(<ZoneDialog zone={zone} fabrics={fabrics} yarns={[]} onClose={() => {}} />);
    refuseNext(doors.keepZone, 'fabrics.1.share', 'The share must lie between 0.001 and 1.');
    await press('Save');
    expect(await screen.findByText(/The share must lie between/)).toBeInTheDocument();
    expect(screen.getAllByLabelText('Share, %')[1]).toHaveAttribute('aria-invalid', 'true');
  });
});

describe('photographs', () => {
  const png = (name: string, width: number, height: number) => {
    const head = Buffer.alloc(64);
    Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex').copy(head);
    head.writeUInt32BE(width, 16);
    head.writeUInt32BE(height, 20);
    const file = new File([head], name, { type: 'image/png' });
    Object.assign(file, {
      slice: () => ({ arrayBuffer: () => Promise.resolve(new Uint8Array(head).buffer) }),
    });
    return file;
  };
  test('a picture of impossible size is refused before it is opened', async () => {
    const decode = jest.fn();
    Object.assign(globalThis, { createImageBitmap: decode });
    render(<Photographs ofId="i" first={['p1']} />);
    await userEvent.upload(screen.getByLabelText('Add photographs'), png('huge.png', 60_000, 60_000));
    expect(await screen.findByRole('alert')).toHaveTextContent(/\w+.*\./);
    expect(decode).not.toHaveBeenCalled();
  });
  test('one that cannot be decoded is named', async () => {
    Object.assign(globalThis, {
      createImageBitmap: () =>
        Promise.reject(new DOMException('The source image could not be decoded.', 'InvalidStateError')),
    });
    render(<Photographs ofId="i" first={[]} />);
    await userEvent.upload(screen.getByLabelText('Add photographs'), png('torn.png', 400, 300));
    expect(await screen.findByRole('alert')).toHaveTextContent('“torn.png” cannot be read as a photograph.');
  });
  test('one is removed when the server says so', async () => {
    render(<Photographs ofId="i" first={['p1', 'p2']} />);
    await press('Remove photograph 1');
    await waitFor(() => expect(screen.getAllByRole('img')).toHaveLength(1));
    expect(lastSent(doors.removePhotograph)).toMatchObject({ id: 'p1' });
  });
});

test('a talk begins once, and leads to its first page', async () => {
  jest.mocked(doors.beginIntake).mockResolvedValueOnce({ ok: true, value: { id: 'intake-7' } });
  render(<BeginTalk />);
  await press('Begin');
  await waitFor(() => expect(router.push).toHaveBeenCalledWith('/take-in/intake-7'));
});
test('the machine a quilt is sewn on is named, and a refusal said', async () => {
  render(<MachineChoice quiltId="quilt-1" machineId="machine-1" machines={machines} />);
  const choice = screen.getByRole('combobox', { name: 'Machine' });
  expect(choice).toHaveTextContent('The Long Arm');
  await act(() => Promise.resolve());
  expect(within(choice).queryByRole('alert')).not.toBeInTheDocument();
});
