import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import { bobbinCapacityM } from '@/core/usage/usage';
import {
  aBobbin,
  aCone,
  aFitted,
  aMachine,
  aNeedle,
  aRuler,
  somePreferences,
  lastSent,
  refuseNext,
} from '@/ui/testing/studio';
import { BobbinsScreen } from './BobbinsScreen';
import { windingRadius } from './bobbin-gauge';
import { ClothsScreen } from './ClothsScreen';
import { MachineScreen } from './MachineScreen';
import { NeedlesScreen } from './NeedlesScreen';
import { RulersScreen } from './RulersScreen';
import { SCHOOLS } from '@/core/fields/preferences';
import { PreferencesForm } from './PreferencesForm';

const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));
const fill = async (label: string | RegExp, text: string) => {
  const field = screen.getByLabelText(label, { selector: 'input, textarea' });
  await userEvent.clear(field);
  if (text) await userEvent.paste(text);
};

describe('the drawer', () => {
  const show = (part: Partial<Parameters<typeof NeedlesScreen>[0]> = {}) =>
    render(
      <NeedlesScreen
        needles={[aNeedle(), aNeedle({ id: 'n2', nm: 110, eye: 'large', stock: 0, version: 1 })]}
        fitted={[aFitted()]}
        machines={[aMachine()]}
        warnShare={0.85}
        {...part}
      />,
    );

  test.each([
    [120_000, 30, /120,000 of about 400,000 stitches$/],
    [350_000, 88, /due for a change$/],
    [440_000, 100, /past its life, change it$/],
  ])('%d stitches of 400,000 are shown as %d in a hundred, and in words', (stitches, now, words) => {
    show({ fitted: [aFitted({ stitches })] });
    const meter = screen.getByRole('meter', { name: 'Needle used in The Long Arm' });
    expect(meter).toHaveAttribute('aria-valuenow', String(now));
    expect(screen.getByText(words)).toBeInTheDocument();
  });

  test('the caution stands where a needle is changed', () => {
    show();
    expect(screen.getByText(/off/i, { selector: 'p span, p' })).toBeInTheDocument();
  });

  test('changing the needle says which kind went in', async () => {
    show();
    await press('Changed for a new one');
    expect(lastSent(doors.changeNeedle)).toMatchObject({
      machineId: 'machine-1',
      nm: 100,
      eye: 'standard',
      point: 'sharp',
      coated: false,
    });
  });

  test('what is out is said, and cannot be put into the machine', () => {
    show();
    expect(screen.getAllByRole('status')[0]).toHaveTextContent('Out: Nm 110 sharp.');
    const [first, second] = screen.getAllByRole('button', { name: 'Into the machine' });
    expect(first).toBeEnabled();
    expect(second).toBeDisabled();
  });

  test('with two machines each is named', () => {
    show({ machines: [aMachine(), aMachine({ id: 'm2', name: 'Old Faithful Arm' })] });
    expect(screen.getAllByRole('button', { name: 'Into Old Faithful Arm' })).toHaveLength(2);
    expect(screen.getByText('Not known which needle is in it.')).toBeInTheDocument();
  });

  test('adding needles sends numbers as numbers; a refusal stands at its field and nothing is lost', async () => {
    show();
    await press('Add needles');
    await fill('In the drawer', '12');
    refuseNext(doors.keepNeedles, 'stock', 'Needles in the drawer: give a whole number.');
    await press('Put them in the drawer');
    expect(lastSent(doors.keepNeedles)).toMatchObject({ nm: 100, eye: 'standard', stock: 12 });
    expect(await screen.findByText('Needles in the drawer: give a whole number.')).toBeInTheDocument();
    expect(screen.getByLabelText('In the drawer', { selector: 'input' })).toHaveValue('12');
    const key = lastSent(doors.keepNeedles).key;
    await waitFor(() => expect(screen.getByRole('button', { name: 'Put them in the drawer' })).toBeEnabled());
    await press('Put them in the drawer');
    expect(doors.keepNeedles).toHaveBeenCalledTimes(2);
    expect(lastSent(doors.keepNeedles).key).toBe(key);
    await waitFor(() => expect(screen.queryByRole('dialog')).not.toBeInTheDocument());
  });

  test('stitches not counted yet can be added to the needle', async () => {
    show();
    await press('Add stitches');
    await fill('Stitches', '-2500');
    await press('Count them');
    expect(lastSent(doors.sewStitches)).toMatchObject({ machineId: 'machine-1', stitches: -2500 });
  });

  test('an empty drawer and no machine each say what to do', () => {
    show({ needles: [], machines: [], fitted: [] });
    expect(screen.getByText('The drawer is empty')).toBeInTheDocument();
    expect(screen.getByText('Add a machine first.')).toBeInTheDocument();
    expect(screen.getAllByRole('button', { name: 'Add needles' })).toHaveLength(1);
  });
});

describe('bobbins', () => {
  const show = (part: Partial<Parameters<typeof BobbinsScreen>[0]> = {}) =>
    render(<BobbinsScreen bobbins={[aBobbin()]} cones={[aCone()]} machines={[aMachine()]} {...part} />);

  test('the tray says how many metres are on each', () => {
    show();
    expect(screen.getByText('120 m')).toBeInTheDocument();
    expect(screen.getByText('wound here')).toBeInTheDocument();
  });

  test('counting one up sends the version it was seen with', async () => {
    show();
    await press(/more|one more|add one/i);
    await waitFor(() =>
      expect(lastSent(doors.countBobbins)).toMatchObject({ id: 'bobbin-1', version: 5, count: 4 }),
    );
  });

  test('the dialog works out what a bobbin holds; prewound ones hold more', async () => {
    show();
    await press('Wind bobbins');
    const holds = (pre: boolean) =>
      Math.round(
        bobbinCapacityM({ od: 25, core: 7.6, width: 10 }, { tex: 18, fibre: 'polyester-filament' }, pre),
      );
    expect(screen.getByText(`${holds(false)} m`)).toBeInTheDocument();
    expect(holds(true)).toBeGreaterThan(holds(false));
  });

  test('winding sends the thread, the machine and how many; metres left empty are worked out', async () => {
    show();
    await press('Wind bobbins');
    await fill('How many', '6');
    await press('They are wound');
    expect(lastSent(doors.windBobbins)).toMatchObject({
      coneId: 'cone-fog',
      machineId: 'machine-1',
      kind: 'wound',
      count: 6,
      metresEach: null,
    });
  });

  test.each([
    ['no machine', { bobbins: [], machines: [] }, 'Add a machine', '/workroom/machine'],
    ['no thread', { bobbins: [], cones: [] }, 'Add a bobbin thread', '/shelf'],
  ])('with %s the way on is a link', (_, part, name, href) => {
    show(part);
    expect(screen.getByText('No bobbin is wound')).toBeInTheDocument();
    expect(screen.getByRole('link', { name })).toHaveAttribute('href', href);
  });

  test('thread fills area: a half-full bobbin reaches further than half its depth', () => {
    expect(windingRadius(12.5, 3.8, 0)).toBe(3.8);
    expect(windingRadius(12.5, 3.8, 1)).toBe(12.5);
    expect(windingRadius(12.5, 3.8, 0.5)).toBeGreaterThan((12.5 + 3.8) / 2);
    expect(windingRadius(12.5, 3.8, 7)).toBe(12.5);
    expect(windingRadius(12.5, 3.8, -1)).toBe(3.8);
  });
});

describe('rulers', () => {
  const show = (part: Partial<Parameters<typeof RulersScreen>[0]> = {}) =>
    render(<RulersScreen rulers={[aRuler()]} machines={[aMachine()]} {...part} />);

  test('a ruler as thick as the foot asks fits, a thinner one is said to be too thin', () => {
    show({ rulers: [aRuler(), aRuler({ id: 'r2', name: 'Thin edge', thicknessMm: 3, radiusIn: null })] });
    expect(screen.getByText('fits The Long Arm')).toBeInTheDocument();
    expect(screen.getByText('too thin for The Long Arm, which asks 6 mm')).toBeInTheDocument();
  });
  test('an arc says what it sews outside its edge', () => {
    show();
    expect(screen.getByText('radius 6.25 in outside it')).toBeInTheDocument();
  });
  test('a machine without a ruler foot is said', () => {
    show({ machines: [aMachine({ feet: ['open-toe'] })] });
    expect(screen.getByText('no ruler foot on any machine')).toBeInTheDocument();
  });
  test('lengths are typed with their unit: 152.4 mm of radius is 6 in', async () => {
    show();
    await press('Change Quay arc');
    await fill(/^Radius of its edge/, '152.4 mm');
    await fill(/^Thickness/, '0.25 in');
    await press('Keep this ruler');
    const sent = lastSent(doors.keepRuler);
    expect(sent).toMatchObject({ id: 'ruler-1', version: 1, shape: 'arc' });
    expect(sent.radiusIn).toBeCloseTo(6, 6);
    expect(sent.thicknessMm).toBeCloseTo(6.35, 6);
  });
  test('what cannot be read as a length is sent as it was typed, to be refused in words', async () => {
    show();
    await press('Change Quay arc');
    await fill(/^Thickness/, 'thick');
    await press('Keep this ruler');
    expect(lastSent(doors.keepRuler).thicknessMm).toBe('thick');
  });
  test('put away is asked of the server by name', async () => {
    show();
    await press('Put away Quay arc');
    expect(lastSent(doors.putAway)).toMatchObject({ id: 'ruler-1', what: 'ruler', away: true });
  });
  test('no ruler yet', () => {
    show({ rulers: [] });
    expect(screen.getByText('No ruler yet')).toBeInTheDocument();
  });
});

describe('fabrics and battings', () => {
  const own = {
    id: 'b1',
    kind: 'cotton-80-20',
    name: 'Drumlin 80/20',
    loftMm: null,
    maxGapIn: 8,
    ratingText: 'up to 8 in',
    shrinkPct: 3,
    notes: '',
    shipped: false,
    version: 2,
  };
  const cloth = { id: 'f1', kind: 'flannel', name: 'Net loft flannel', hex: '#aabbcc', notes: '' };
  const show = () =>
    render(
      <ClothsScreen
        fabrics={[
          { ...cloth, shipped: false, version: 4 },
          { ...cloth, id: 'f2', name: 'Flannel', shipped: true, version: 1 },
        ]}
        battings={[own, { ...own, id: 'b2', name: 'Wool batting', shipped: true }]}
        units="both"
      />,
    );
  test('the shipped kinds are said to be generic and cannot be changed', () => {
    show();
    expect(screen.getAllByText('shipped, generic')).toHaveLength(2);
    expect(screen.getByRole('button', { name: 'Change Drumlin 80/20' })).toBeInTheDocument();
    expect(screen.queryByRole('button', { name: 'Change Wool batting' })).not.toBeInTheDocument();
    expect(screen.queryByRole('button', { name: 'Put away Flannel' })).not.toBeInTheDocument();
  });
  test('the studio’s units are kept to', () => {
    show();
    const row = screen.getByRole('row', { name: /Drumlin/ });
    expect(row).toHaveTextContent(/8 in/);
    expect(row).toHaveTextContent(/20\.?\d* ?cm|203 mm/);
  });
  test('a batting keeps the rating as printed, its widest gap typed in any unit', async () => {
    show();
    await press('Add a batting');
    await fill('Name', 'Skerry wool');
    await fill('Rating, as printed', '4 inches, 10 cm');
    await fill(/^Widest gap/, '10 cm');
    await press('Keep this batting');
    const sent = lastSent(doors.keepBatting);
    expect(sent).toMatchObject({ name: 'Skerry wool', kind: 'unknown', version: 0, loftMm: null });
    expect(sent.maxGapIn).toBeCloseTo(3.937, 3);
  });
  test('a fabric is changed with the version it was seen with', async () => {
    show();
    await press('Change Net loft flannel');
    await fill('Notes', 'washed');
    await press('Keep this fabric');
    expect(lastSent(doors.keepFabric)).toMatchObject({ id: 'f1', version: 4, notes: 'washed' });
  });
  test('put away', async () => {
    show();
    await press('Put away Net loft flannel');
    expect(lastSent(doors.putAway)).toMatchObject({ id: 'f1', what: 'fabric', away: true });
  });
});

describe('the machine', () => {
  const show = (calibrations: Parameters<typeof MachineScreen>[0]['calibrations'] = []) =>
    render(<MachineScreen machines={[aMachine()]} calibrations={calibrations} />);

  test('its facts are said in words with their units', () => {
    show();
    const facts = screen.getByRole('region', { name: 'The Long Arm' });
    expect(facts).toHaveTextContent('up to 2200 a minute, idle 100 to 900');
    expect(facts).toHaveTextContent('20 in, 5.5 in of it dead');
    expect(facts).toHaveTextContent('132 in wide, roll inside the throat');
  });
  test('what was not measured is said, with what happens without', () => {
    show([
      {
        id: 'c1',
        machineId: 'machine-1',
        kind: 'top-dial',
        points: [
          { mark: 1, value: 60 },
          { mark: 2, value: 80 },
          { mark: 3, value: 110 },
        ],
        at: new Date('2026-11-01'),
        version: 1,
      },
    ]);
    expect(screen.getByText('3 measurements')).toBeInTheDocument();
    expect(screen.getAllByText(/^not measured; /)).toHaveLength(3);
    expect(screen.getAllByRole('button', { name: 'Measure' })).toHaveLength(3);
  });
  test('changing sends every field, lengths as numbers, boxes as lists', async () => {
    show();
    await press('Change');
    await userEvent.click(screen.getByRole('checkbox', { name: /couching/i }));
    await fill(/^Throat/, '51 cm');
    await press('Keep this machine');
    const sent = lastSent(doors.keepMachine);
    expect(sent).toMatchObject({ id: 'machine-1', version: 1, maxSpm: 2200, rollInThroat: true });
    expect(sent.feet).not.toContain('couching');
    expect(sent.throatIn).toBeCloseTo(20.0787, 3);
  });
  test('no machine yet: said with what a machine is needed for', async () => {
    render(<MachineScreen machines={[]} calibrations={[]} />);
    expect(screen.getByText('No machine yet')).toBeInTheDocument();
    await press('Add a machine');
    expect(screen.getByLabelText(/^Highest rate/)).toHaveValue('2000');
  });

  describe('measuring a dial', () => {
    const measure = async () => {
      show();
      const row = screen.getByText('Speed dial to stitches a minute').closest('li')!;
      await userEvent.click(within(row).getByRole('button', { name: 'Measure' }));
      return screen.getByRole('dialog');
    };
    test('holes in ten seconds become stitches a minute, and a rising curve can be kept', async () => {
      const dialog = await measure();
      const keep = within(dialog).getByRole('button', { name: 'Keep this calibration' });
      expect(keep).toBeDisabled();
      const cells = within(dialog).getAllByRole('textbox');
      for (const [i, text] of ['1', '50', '5', '200'].entries()) await userEvent.type(cells[i]!, text);
      expect(keep).toBeEnabled();
      expect(within(dialog).getByText(/misses the measurements by 0.0 %/)).toBeInTheDocument();
      await userEvent.click(keep);
      expect(lastSent(doors.calibrate)).toMatchObject({
        machineId: 'machine-1',
        kind: 'speed-dial',
        points: [
          { mark: 1, value: 300 },
          { mark: 5, value: 1200 },
        ],
      });
    });
    test('a curve that falls is not kept, and it is said', async () => {
      const dialog = await measure();
      const cells = within(dialog).getAllByRole('textbox');
      for (const [i, text] of ['1', '200', '5', '50'].entries()) await userEvent.type(cells[i]!, text);
      expect(within(dialog).getByRole('button', { name: 'Keep this calibration' })).toBeDisabled();
    });
    test('a measurement can be added and taken out again', async () => {
      const dialog = await measure();
      await userEvent.click(within(dialog).getByRole('button', { name: /Another setting/ }));
      expect(within(dialog).getAllByRole('textbox')).toHaveLength(8);
      await userEvent.click(within(dialog).getByRole('button', { name: 'Take measurement 4 out' }));
      expect(within(dialog).getAllByRole('textbox')).toHaveLength(6);
    });
  });
});

describe('the studio’s ways', () => {
  test.each(SCHOOLS.map((s) => [s.label, s] as const))('%s: each side says what it does', (_, school) => {
    render(<PreferencesForm preferences={somePreferences()} />);
    const group = screen.getByRole('group', { name: school.label });
    expect(within(group).getAllByRole('radio')).toHaveLength(school.choices!.length);
    const now = school.choices!.find(
      (s) => s.value === (somePreferences() as unknown as Record<string, unknown>)[school.id],
    )!;
    expect(within(group).getByRole('radio', { name: now.label })).toBeChecked();
    expect(group).toHaveTextContent(now.does!);
  });
  test('one trusted needle asks for its size; both are sent as they stand', async () => {
    render(<PreferencesForm preferences={somePreferences({ oneNeedleNm: 100 })} />);
    expect(screen.queryByLabelText('The trusted size')).not.toBeInTheDocument();
    await userEvent.click(screen.getByRole('radio', { name: 'one trusted size' }));
    expect(screen.getByLabelText('The trusted size')).toBeInTheDocument();
    await fill(/^A cone runs low below/, '250');
    await press('Keep these ways');
    expect(lastSent(doors.setPreferences)).toMatchObject({
      needleSchool: 'one',
      oneNeedleNm: 100,
      lowM: 250,
      version: 9,
      dayHours: [6, 6, 6, 6, 6, 0, 0],
      name: 'Saltmarsh Longarm Room',
    });
  });
  test('a refusal stands at its field, and what was typed is not lost', async () => {
    render(<PreferencesForm preferences={somePreferences()} />);
    await fill(/^Floor of stitch length/, '99');
    refuseNext(doors.setPreferences, 'floorSpi', 'The floor must lie between 3 and 20.');
    await press('Keep these ways');
    expect(await screen.findByText('The floor must lie between 3 and 20.')).toBeInTheDocument();
    expect(screen.getByLabelText(/^Floor of stitch length/)).toHaveValue('99');
  });
  test('hours refused are said beneath the days', async () => {
    render(<PreferencesForm preferences={somePreferences()} />);
    await fill('Sunday', '30');
    refuseNext(doors.setPreferences, 'dayHours', 'Hours must lie between 0 and 24.');
    await press('Keep these ways');
    expect(await screen.findByText('Hours must lie between 0 and 24.')).toBeInTheDocument();
  });
  test('a studio’s computer that does not answer is said, and the form stays', async () => {
    render(<PreferencesForm preferences={somePreferences()} />);
    jest.mocked(doors.setPreferences).mockRejectedValueOnce(new TypeError('Failed to fetch'));
    await press('Keep these ways');
    expect(
      await screen.findByText(/did not answer; try again in a moment. Nothing you typed is lost/),
    ).toBeInTheDocument();
  });
});
