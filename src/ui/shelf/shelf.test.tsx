import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors, looks } from '@/actions/doors';
import { aCone, lastSent, refuseNext } from '@/ui/testing/studio';
import { router } from '@/ui/testing/browser';
import { ConeDialog } from './ConeDialog';
import { ConePanel } from './ConePanel';
import { ALL, NO_FILTER, shelve, type ShelfFilter } from './filter';
import { LabelReading } from './LabelReading';
import { ManyDialog } from './ManyDialog';
import { packCones, unpackCones } from './packed';
import { ShelfScreen } from './ShelfScreen';
import { ShelfTable } from './ShelfTable';
import { fill } from '@/ui/testing/fill';

const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

const fog = aCone();
const teal = aCone({
  id: 'cone-teal',
  line: 'Mole Cotton 50/2',
  colour: 'Teal',
  hex: '#1f6f70',
  fibre: 'cotton',
  label: '50/2',
  tex: 24,
  texBasis: 'ne',
  remainingM: 120,
  place: 'top shelf',
});
const clear = aCone({
  id: 'cone-clear',
  line: 'Glass Mono',
  colour: 'Clear',
  hex: null,
  fibre: 'nylon-mono',
  label: '.004',
  tex: 10,
  remainingM: null,
  notes: 'smoke is sold out',
});
const old = aCone({ id: 'cone-old', colour: 'Rust', hex: '#8a4b2d', archivedAt: new Date('2026-10-01') });
const all = [fog, teal, clear, old];
const ids = (list: readonly { id: string }[]) => list.map((c) => c.id);
const through = (part: Partial<ShelfFilter>) => ids(shelve(all, { ...NO_FILTER, ...part }, 200)).sort();

describe('the filter of the shelf', () => {
  test.each<[string, Partial<ShelfFilter>, string[]]>([
    ['nothing asked', {}, ['cone-clear', 'cone-fog', 'cone-teal']],
    ['letters of a line', { find: 'mole' }, ['cone-teal']],
    ['letters of a note, whatever their case', { find: ' SMOKE ' }, ['cone-clear']],
    ['where it stands', { find: 'top shelf' }, ['cone-teal']],
    ['a fibre', { fibre: 'cotton' }, ['cone-teal']],
    ['every fibre', { fibre: ALL }, ['cone-clear', 'cone-fog', 'cone-teal']],
    ['tex from', { texFrom: 18 }, ['cone-fog', 'cone-teal']],
    ['tex to, ends counted in', { texTo: 18 }, ['cone-clear', 'cone-fog']],
    ['running low: a cone not counted is not known to be low', { low: true }, ['cone-teal']],
    ['put away', { away: true }, ['cone-old']],
    ['near a colour', { near: '#1f6f70', within: 5 }, ['cone-teal']],
    ['several at once', { fibre: 'cotton', texTo: 20 }, []],
  ])('%s', (_, part, expected) => expect(through(part)).toEqual(expected));

  test('by thickness the thinnest stands first', () => {
    const order = shelve(all, { ...NO_FILTER, order: 'thickness' }, 200);
    expect(order.map((c) => c.tex)).toEqual([10, 18, 24]);
  });
  test('the list given is left as it was', () => {
    const before = ids(all);
    shelve(all, { ...NO_FILTER, order: 'thickness' }, 200);
    expect(ids(all)).toEqual(before);
  });
});

describe('cones packed for the way to the browser', () => {
  test('come out as they went in, dates as text', () => {
    expect(unpackCones(packCones(all))).toEqual(JSON.parse(JSON.stringify(all)));
  });
  test('an empty shelf is an empty shelf', () => {
    expect(unpackCones(packCones([]))).toEqual([]);
  });
  test('each field is named once only', () => {
    const many = Array.from({ length: 50 }, (_, i) => aCone({ id: `c${i}` }));
    expect(packCones(many).match(/remainingSource/g)).toHaveLength(1);
    expect(packCones(many).length).toBeLessThan(JSON.stringify(many).length / 2);
  });
});

describe('the label as it is read', () => {
  const read = (label: string, part: object = {}) =>
    render(<LabelReading label={label} fibre="polyester-filament" fullG={null} fullM={null} {...part} />);
  test.each([
    ['Tex 27', /tex 27/, /read by tex/],
    ['40 wt', /tex 25/, /by weight number, ±25 %/],
    ['240 den', /tex 26.7/, /by denier/],
    ['Ne 50/3', /tex 35.4/, /cotton count/],
  ])('“%s” is said in tex, with how it was read', (label, tex, how) => {
    const { container } = read(label);
    expect(container).toHaveTextContent(tex);
    expect(container).toHaveTextContent(how);
    expect(container).toHaveTextContent(/mm thick, breaks at about \d+ g/);
  });
  test('weight and length printed beside it are the better source', () => {
    const { container } = read('40 wt', { fullG: 135, fullM: 5000 });
    expect(container).toHaveTextContent(/tex 27 .*read by weight and length/);
  });
  test('nothing typed yet says what may be typed', () => {
    const { container } = read('  ');
    expect(container).toHaveTextContent('It is read as you type');
  });
  test.each([['thick'], ['Tex 90000']])('“%s” is answered in words, not in numbers', (label) => {
    const { container } = read(label);
    expect(container).not.toHaveTextContent(/mm thick/);
    expect(container).toHaveTextContent(/\w+.*\./);
  });
});

describe('a line of thread in several colours', () => {
  const open = (cone: Parameters<typeof ConeDialog>[0]['cone'] = null) => {
    const onClose = jest.fn();
    render(<ConeDialog cone={cone} onClose={onClose} />);
    return onClose;
  };
  test('goes on the shelf together, numbers as numbers, what is empty as nothing', async () => {
    const onClose = open();
    await fill(screen.getByLabelText('Thread line, as on the cone'), 'Skerry Poly');
    await fill(screen.getByLabelText('Size, as printed'), 'Tex 27');
    expect(screen.getByRole('region', { name: 'What the label says' })).toHaveTextContent('tex 27');
    await fill(screen.getByLabelText('Colour name'), 'Kelp');
    await press(/Another colour/);
    await fill(screen.getAllByLabelText('Colour name')[1]!, 'Foam');
    await fill(screen.getAllByLabelText(/^Metres left/)[1]!, '500');
    await press('Put 2 cones on the shelf');
    expect(lastSent(doors.addCones)).toMatchObject({
      line: 'Skerry Poly',
      label: 'Tex 27',
      fullG: null,
      needleMinNm: null,
      colours: [
        { colour: 'Kelp', hex: null, remainingM: null },
        { colour: 'Foam', hex: null, remainingM: 500 },
      ],
    });
    await waitFor(() => expect(onClose).toHaveBeenCalled());
  });
  test('a colour can be taken out again, the last one not', async () => {
    open();
    expect(screen.queryByRole('button', { name: 'Take this colour out' })).not.toBeInTheDocument();
    await press(/Another colour/);
    await userEvent.click(screen.getAllByRole('button', { name: 'Take this colour out' })[0]!);
    expect(screen.getAllByLabelText('Colour name')).toHaveLength(1);
  });
  test('a refusal stands at the colour it is about', async () => {
    const onClose = open();
    await press(/Another colour/);
    refuseNext(doors.addCones, 'colours.1.remainingM', 'Metres left must lie between 0 and 100000.');
    await press('Put 2 cones on the shelf');
    const [first, second] = screen.getAllByLabelText(/^Metres left/);
    await waitFor(() => expect(second).toHaveAttribute('aria-invalid', 'true'));
    expect(first).not.toHaveAttribute('aria-invalid');
    expect(onClose).not.toHaveBeenCalled();
  });
  test('a cone is changed with the version it was seen with, one colour only', async () => {
    open(teal);
    expect(screen.queryByRole('button', { name: /Another colour/ })).not.toBeInTheDocument();
    const name = screen.getByLabelText('Colour name');
    await userEvent.clear(name);
    await fill(name, 'Deep teal');
    await press('Keep these changes');
    expect(lastSent(doors.editCone)).toMatchObject({
      id: 'cone-teal',
      version: 3,
      colour: 'Deep teal',
      hex: '#1f6f70',
      tareG: 38,
    });
  });
});

describe('one cone', () => {
  const open = (part: Parameters<typeof aCone>[0] = {}, uses: unknown[] = []) => {
    jest.mocked(looks.coneUses).mockResolvedValueOnce(uses as never);
    const [onEdit, onClose] = [jest.fn(), jest.fn()];
    render(<ConePanel cone={aCone(part)} onEdit={onEdit} onClose={onClose} />);
    return { onEdit, onClose };
  };
  test('says what is left and how that is known', async () => {
    open();
    expect(await screen.findByText(/Nothing yet/)).toBeInTheDocument();
    expect(screen.getByText(/5000/)).toBeInTheDocument();
    expect(screen.getByText(/by the scale, 20 Nov/)).toBeInTheDocument();
  });
  test('what was not counted is not guessed', async () => {
    open({ remainingM: null, remainingSource: null, remainingAt: null });
    expect(await screen.findByText('not counted')).toBeInTheDocument();
  });
  test('its ledger says what came and went', async () => {
    open({}, [
      {
        id: 'u1',
        at: new Date('2026-11-21T09:00:00Z'),
        why: 'pass',
        metres: -88,
        leftM: 4912,
        note: 'Harbour Lights, pass 3',
      },
    ]);
    const ledger = await screen.findByRole('list', { name: 'Ledger' });
    expect(ledger).toHaveTextContent('sewn: Harbour Lights, pass 3');
    expect(ledger).toHaveTextContent('4912 m');
  });
  test('a ledger that cannot be had leaves the rest usable', async () => {
    jest.mocked(looks.coneUses).mockRejectedValueOnce(new Error('gone'));
    render(<ConePanel cone={fog} onEdit={() => {}} onClose={() => {}} />);
    expect(await screen.findByText(/Nothing yet/)).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Keep this count' })).toBeEnabled();
  });
  test('weighing sends both weights; counting by hand the metres', async () => {
    open();
    await fill(screen.getByLabelText('On the scale, grams'), '96.5');
    await press('Keep this count');
    expect(lastSent(doors.countCone)).toMatchObject({
      id: 'cone-fog',
      how: 'weighed',
      grossG: 96.5,
      tareG: 38,
    });
  });
  test('counting by hand', async () => {
    open();
    await userEvent.click(screen.getByRole('radio', { name: 'by hand' }));
    await fill(screen.getByLabelText(/^Metres left/), '1200');
    await press('Keep this count');
    expect(lastSent(doors.countCone)).toMatchObject({ how: 'set', remainingM: 1200 });
  });
  test.each([
    [null, 'Put away', 'away'],
    [new Date('2026-10-01'), 'Take out again', 'back'],
  ])('put away at %s: the act is “%s”', async (archivedAt, act, archive) => {
    const { onClose } = open({ archivedAt });
    await press(act);
    expect(lastSent(doors.editMany)).toMatchObject({ ids: ['cone-fog'], archive });
    await waitFor(() => expect(onClose).toHaveBeenCalled());
  });
});

describe('many cones at once', () => {
  test('what is left as it is, is not sent', async () => {
    render(<ManyDialog ids={['a', 'b', 'c']} onClose={() => {}} />);
    expect(await screen.findByRole('heading', { name: 'Change 3 cones' })).toBeInTheDocument();
    await press('Change them');
    const sent = lastSent(doors.editMany);
    expect(sent).toMatchObject({ ids: ['a', 'b', 'c'], role: null, sheen: null });
    expect(sent).not.toHaveProperty('place');
  });
  test('a place typed is sent', async () => {
    render(<ManyDialog ids={['a', 'b']} onClose={() => {}} />);
    await fill(screen.getByLabelText(/^Where they stand/), 'drawer 4');
    await press('Change them');
    expect(lastSent(doors.editMany)).toMatchObject({ place: 'drawer 4' });
  });
});

describe('the shelf', () => {
  const show = (cones = [fog, teal, clear]) =>
    render(<ShelfScreen shelf={{ text: packCones(cones), count: cones.length }} lowM={200} />);
  // With Shift held a spool is picked; without, it opens.
  const pick = (name: RegExp) => fireEvent.click(screen.getByRole('button', { name }), { shiftKey: true });

  test('says how many cones stand there, and how many of them the filter shows', async () => {
    show();
    expect(screen.getByText('3 cones')).toBeInTheDocument();
    await fill(screen.getByLabelText('Find on the shelf'), 'mole');
    expect(await screen.findByText('1 of 3 cones')).toBeInTheDocument();
  });
  test('a filter that nothing fits can be let go of', async () => {
    show();
    await fill(screen.getByLabelText('tex from'), '400');
    expect(await screen.findByText('No cone fits')).toBeInTheDocument();
    await press('Show the whole shelf');
    expect(await screen.findByText('3 cones')).toBeInTheDocument();
  });
  test('near a colour brings its own controls', async () => {
    show();
    await userEvent.click(screen.getByRole('checkbox', { name: 'near a colour' }));
    expect(screen.getByLabelText('Colour to be near to')).toBeInTheDocument();
    expect(screen.getByRole('slider', { name: 'How near, ΔE' })).toHaveValue('15');
  });
  test('two picked can be compared, and put away together', async () => {
    show();
    pick(/Fog/);
    expect(screen.queryByRole('button', { name: /^Compare/ })).not.toBeInTheDocument();
    pick(/Teal/);
    await press('Compare 2');
    expect(router.push).toHaveBeenCalledWith('/shelf/compare?ids=cone-fog,cone-teal');
    await press('Put away');
    expect(lastSent(doors.editMany)).toMatchObject({
      ids: ['cone-fog', 'cone-teal'],
      archive: 'away',
    });
  });
  test('more than six do not lie side by side', async () => {
    show(Array.from({ length: 7 }, (_, i) => aCone({ id: `c${i}`, colour: `Fog ${i}` })));
    for (let i = 0; i < 7; i++) pick(new RegExp(`Fog ${i}`));
    expect(screen.getByRole('button', { name: 'Compare 7' })).toBeDisabled();
  });
  test('empty: the ways in are offered', () => {
    show([]);
    expect(screen.getByText('The shelf is empty')).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'Bring in a CSV file' })).toHaveAttribute(
      'href',
      '/workroom/files',
    );
  });
});

describe('the shelf as a table', () => {
  const table = (cones = [fog, teal, clear]) => {
    const acts = { onPick: jest.fn(), onPickAll: jest.fn(), onOpen: jest.fn() };
    render(<ShelfTable cones={cones} picked={new Set(['cone-fog'])} {...acts} />);
    return acts;
  };
  const names = () =>
    screen
      .getAllByRole('row')
      .slice(1)
      .map((r) => within(r).getAllByRole('cell')[1]!.textContent);

  test('sorts by a column, and says so', async () => {
    table();
    await press('tex');
    const head = screen.getByRole('columnheader', { name: 'tex' });
    const first = head.getAttribute('aria-sort');
    const one = names();
    await press('tex');
    expect(head.getAttribute('aria-sort')).not.toBe(first);
    expect(names()).toEqual([...one].reverse());
  });
  test('a column can be taken out', async () => {
    table();
    await userEvent.click(screen.getByText('Choose columns'));
    await userEvent.click(screen.getByRole('checkbox', { name: 'Fibre' }));
    expect(screen.queryByRole('columnheader', { name: 'Fibre' })).not.toBeInTheDocument();
  });
  test('picks one, picks all, opens one', async () => {
    const acts = table();
    await userEvent.click(screen.getByRole('checkbox', { name: 'Pick Mole Cotton 50/2 Teal' }));
    expect(acts.onPick).toHaveBeenCalledWith('cone-teal');
    await userEvent.click(screen.getByRole('checkbox', { name: 'Pick all that are shown' }));
    expect((acts.onPickAll.mock.calls[0]![0] as string[]).sort()).toEqual([
      'cone-clear',
      'cone-fog',
      'cone-teal',
    ]);
    await press(/^Teal/);
    expect(acts.onOpen).toHaveBeenCalledWith(teal);
  });
  test('thousands of cones draw only the rows in sight', () => {
    table(Array.from({ length: 3000 }, (_, i) => aCone({ id: `c${i}`, colour: `Fog ${i}` })));
    expect(screen.getByRole('table', { name: 'Cones' })).toHaveAttribute('aria-rowcount', '3001');
    expect(screen.getAllByRole('row').length).toBeLessThan(60);
  });
});

test('of a large shelf the first cones come with the page, and all of them after it', async () => {
  const many = Array.from({ length: 6 }, (_, i) => aCone({ id: `cone-${i}`, colour: `Shade ${i}` }));
  const answer = jest.fn(() => Promise.resolve({ ok: true, text: () => Promise.resolve(packCones(many)) }));
  globalThis.fetch = answer as unknown as typeof fetch;
  render(
    <ShelfScreen
      shelf={{ text: packCones(many.slice(0, 2)), count: 6, rest: '/shelf/text?of=cones' }}
      lowM={200}
    />,
  );
  expect(screen.getByText('6 cones')).toBeVisible();
  expect(screen.queryAllByText(/Shade 5/)).toHaveLength(0);
  expect(await screen.findAllByText(/Shade 5/)).not.toHaveLength(0);
  expect(answer).toHaveBeenCalledTimes(1);
});
