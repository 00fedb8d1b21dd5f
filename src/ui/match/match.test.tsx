import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { WhatIfAnswer } from '@/actions/what-if';
import { doors } from '@/actions/doors';
import { match } from '@/core/match/match';
import { aMatch, machine as coreMachine, shelf } from '@/core/testing/a-shelf';
import { layersMm } from '@/core/sandwich/sandwich';
import { diameterMm } from '@/core/thread/thread';
import { aCone } from '@/ui/testing/studio';
import { router } from '@/ui/testing/browser';
import type { Candidate } from './candidate';
import { CandidateTable } from './CandidateTable';
import { HoldBar } from './HoldBar';
import { MATCH_VIEWS, MatchNav } from './MatchNav';
import { MatchScreen } from './MatchScreen';
import { shiftsInWords, shiftWords } from '@/core/match/shift-words';
import { CouchingSums, RulerSums } from './TechniqueSums';
import { VaryPanel } from './VaryPanel';
import { packNames } from './thread-names';
import { WhatIfPanel } from './WhatIfPanel';
import { whyRows } from './why-rows';
import { WhyTable } from './WhyTable';
import { fill } from '@/ui/testing/fill';

const request = aMatch();
const sandwich = {
  top: request.zone.top,
  battingId: request.zone.battingId,
  backing: request.zone.backing,
  features: [],
};
const cone = (id: string) => {
  const t = shelf.find((x) => x.id === id)!;
  const colour = id.split(' ').at(-1)!;
  return aCone({
    id,
    line: id.slice(0, -colour.length - 1),
    colour,
    hex: t.hex ?? null,
    fibre: t.fibre,
    tex: t.tex,
  });
};
const candidates: Candidate[] = match(request).setups.map((setup, i) => ({
  setup,
  turnedBack: null,
  why: whyRows(setup),
  top: cone(setup.topId),
  bobbin: cone(setup.bobbinId),
  section: {
    ...layersMm(sandwich),
    loftMm: 3.2,
    topThreadMm: diameterMm(cone(setup.topId)),
    bobbinThreadMm: diameterMm(cone(setup.bobbinId)),
    needleNm: setup.needle.nm,
    stitchMm: setup.stitchMm,
    knotDepth: 0.5,
  },
  topMm: diameterMm(cone(setup.topId)),
  idleInPerS: 0.5,
  topLowGf: setup.topGf * 0.8,
  topHighGf: setup.topGf * 1.2,
  standing: i === 0,
  known: { value: null, source: 'predicted' as const },
  tensionKnown: { value: null, source: 'predicted' as const },
  guess: null,
  limitKnown: { value: null, source: 'predicted' as const },
  places: { top: 'mark 4¼', bobbin: null, idle: 'setting 3', rate: null },
  proven: null,
}));
const best = candidates[0]!;
const colours = { top: '#b9c6c9', bobbin: '#c3ccca', cloth: '#9db3b8', backing: '#d8cfbb' };
const vary = { technique: 'swirls', spacingIn: 0.5, smallestRadiusIn: null, sandwich };

describe('why a set-up stands where it does', () => {
  test('every criterion that costs something is a row, dearest first', () => {
    for (const c of candidates) {
      const rows = whyRows(c.setup);
      const points = rows.map((r) => r.points);
      expect(points).toEqual([...points].sort((a, b) => b - a));
      for (const r of rows) expect(r.notes.length > 0 || r.points >= 0.4).toBe(true);
    }
  });
  test('no sentence is lost: reasons stand in the table, and each once', () => {
    const said = whyRows(best.setup).flatMap((r) => r.notes.map((n) => n.text));
    for (const r of best.setup.reasons) expect(said.filter((t) => t === r.text)).toHaveLength(1);
  });
  test('what can be done stands after what is wrong', () => {
    const setup = {
      parts: { lint: 0.5 },
      reasons: [],
      cautions: [
        {
          code: 'lint',
          severity: 'note' as const,
          text: 'Sheds lint.',
          act: 'Brush the hook.',
          from: 'lint',
        },
      ],
    };
    render(<WhyTable rows={whyRows({ ...best.setup, ...setup })} name="Teal Cotton" />);
    const row = screen.getByRole('row', { name: /^Lint/ });
    expect(row).toHaveTextContent('0.5');
    expect(row).toHaveTextContent('Sheds lint. Brush the hook.');
  });
});

describe('the candidates', () => {
  test('best first; picking another tells which', async () => {
    const onChange = jest.fn();
    render(<CandidateTable candidates={candidates} value={0} onChange={onChange} />);
    const radios = screen.getAllByRole('radio');
    expect(radios).toHaveLength(4);
    expect(radios[0]).toBeChecked();
    expect(radios[0]).toHaveAccessibleName(/, best$/);
    await userEvent.click(radios[2]!);
    expect(onChange).toHaveBeenCalledWith(2);
  });
  test('what all of them share is not said four times', () => {
    render(<CandidateTable candidates={candidates} value={0} onChange={() => {}} />);
    const shared = best.setup.cautions.filter((c) =>
      candidates.every((x) => x.setup.cautions.some((y) => y.text === c.text)),
    );
    for (const c of shared) expect(screen.queryByText(c.text)).toBeNull();
  });
});

describe('holding a part', () => {
  const bar = (held = {}) =>
    render(
      <HoldBar
        path="/quilts/q/match"
        zoneId="z"
        held={held}
        threads={{
          count: 2,
          text: packNames([
            { id: 't1', name: 'Heron Poly 40 Slate', role: 'top' },
            { id: 'b1', name: 'Gossamer 100 Mist', role: 'bobbin' },
          ]),
        }}
        spi={[4, 18]}
      />,
    );
  test('either thread, a needle, a stitch length go into the address', async () => {
    bar();
    await userEvent.selectOptions(screen.getByLabelText('Hold the top thread'), 't1');
    await userEvent.selectOptions(screen.getByLabelText('Hold the bobbin thread'), 'b1');
    await userEvent.selectOptions(screen.getByLabelText('Hold the needle'), '110');
    await userEvent.selectOptions(screen.getByLabelText('Hold the stitch length'), '9');
    expect(router.push.mock.calls.map(([url]) => url as string)).toEqual([
      '/quilts/q/match?zone=z&topId=t1',
      '/quilts/q/match?zone=z&bobbinId=b1',
      '/quilts/q/match?zone=z&nm=110',
      '/quilts/q/match?zone=z&spi=9',
    ]);
  });
  test('only what the machine sews is offered', () => {
    bar();
    const options = within(screen.getByLabelText('Hold the stitch length')).getAllByRole('option');
    expect(options[1]).toHaveTextContent('4 per inch');
    expect(options.at(-1)).toHaveTextContent('18 per inch');
  });
  test('all can be let go of, when there is something held', async () => {
    bar({ nm: 110 });
    await userEvent.click(screen.getByRole('button', { name: 'Reset' }));
    expect(router.push).toHaveBeenCalledWith('/quilts/q/match?zone=z', { scroll: false });
  });
  test('nothing held, nothing to let go of', () => {
    bar();
    expect(screen.queryByRole('button')).toBeNull();
  });
});

test('the ways of looking at Match keep the zone', () => {
  render(<MatchNav quiltId="q" zoneId="z" here="/colours" />);
  const links = screen.getAllByRole('link');
  expect(links).toHaveLength(MATCH_VIEWS.length);
  for (const l of links) expect(l.getAttribute('href')).toMatch(/^\/quilts\/q\/match.*\?zone=z$/);
  expect(screen.getByRole('link', { current: 'page' })).toHaveTextContent('Colours');
});

describe('shifts in words', () => {
  test.each([
    [{ criterion: 'visibility' as const, by: 0.05 }, 'colour a hair worse'],
    [{ criterion: 'visibility' as const, by: 0.3 }, 'colour a little worse'],
    [{ criterion: 'lint' as const, by: -0.7 }, 'lint clearly better'],
    [{ criterion: 'child' as const, by: 8 }, 'a child’s quilt far worse'],
  ])('%o', (shift, words) => {
    expect(shiftWords(shift)).toBe(words);
  });
  test('the largest few only', () => {
    const shift = { criterion: 'eye' as const, by: 0.2 };
    expect(shiftsInWords([shift, shift, shift, shift], 2).split(', ')).toHaveLength(2);
    expect(shiftsInWords([])).toBe('');
  });
});

describe('what would have to be true', () => {
  const answer: WhatIfAnswer = {
    thread: 'Rope Cotton 12 Rust',
    best: false,
    refused: null,
    behind: 3,
    shifts: [{ criterion: 'thickness', by: 1.2 }],
    over: shiftsInWords([{ criterion: 'thickness', by: 1.2 }]),
    conditions: [{ code: 'wish', text: 'it were to show' }],
    ahead: ['Heron Poly 60 Fog', 'Gossamer 100 Mist'],
  };
  const ask = async (value: Partial<WhatIfAnswer> | Error) => {
    const asked = jest.fn(() =>
      value instanceof Error
        ? Promise.reject(value)
        : Promise.resolve({ ok: true as const, value: { ...answer, ...value } }),
    );
    render(
      <WhatIfPanel
        quiltId="q"
        zoneId="z"
        threads={{ count: 1, text: packNames([{ id: 'rust', name: 'Rope Cotton 12 Rust', role: 'both' }]) }}
        held={{ nm: 110 }}
        ask={asked}
      />,
    );
    await userEvent.selectOptions(screen.getByLabelText(/thread you would like/), 'rust');
    return asked;
  };
  test('asks for the thread with what is held, and tells the conditions', async () => {
    const asked = await ask({});
    expect(asked).toHaveBeenCalledWith({
      quiltId: 'q',
      zoneId: 'z',
      topId: 'rust',
      holdBobbinId: null,
      holdNm: 110,
      holdSpi: null,
    });
    expect(await screen.findByText('it were to show')).toBeInTheDocument();
    expect(screen.getByText(/2 places behind Heron Poly 60 Fog: thickness far worse/)).toBeInTheDocument();
  });
  test('the best needs nothing', async () => {
    await ask({ best: true });
    expect(await screen.findByText(/is the best here already/)).toBeInTheDocument();
  });
  test('a thread that cannot be sewn is told why', async () => {
    await ask({ refused: 'No needle in the drawer suits it.', conditions: [] });
    expect(await screen.findByText(/cannot be sewn here as things are. No needle/)).toBeInTheDocument();
    expect(screen.getByText(/only without Heron Poly 60 Fog and Gossamer 100 Mist/)).toBeInTheDocument();
  });
  test('no answer is said', async () => {
    await ask(new Error('fetch failed'));
    expect(await screen.findByRole('alert')).toHaveTextContent('did not answer');
  });
});

describe('sliders', () => {
  const panel = () =>
    render(<VaryPanel candidate={best} zone={vary} machine={coreMachine} colours={colours} />);
  const slide = (name: string, value: number) =>
    fireEvent.change(screen.getByRole('slider', { name }), { target: { value: String(value) } });
  test('begin where the card stands, without a word', () => {
    panel();
    expect(screen.getByRole('slider', { name: 'Stitch length' })).toHaveValue(String(best.setup.spi));
    expect(screen.queryByRole('button', { name: 'Back to the card' })).toBeNull();
  });
  test('a faster hand than the needle is cautioned at once, and can be taken back', async () => {
    panel();
    slide('Sewing speed', 7);
    expect(await screen.findByText(/needle falls behind: stay/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Back to the card' }));
    expect(screen.queryByText(/needle falls behind: stay/)).toBeNull();
  });
  test('a thin needle bends, and it is said what would not', async () => {
    panel();
    slide('Needle', 2);
    expect(await screen.findByText(/needle bends|No needle/)).toBeInTheDocument();
  });
  test('a tight top pulls the knot up, a loose one lets it sink', async () => {
    panel();
    const depth = () =>
      Number(
        /interlock (\d+) % down/.exec(
          screen.getByRole('img', { name: /^Section/ }).ariaLabel ??
            screen.getByRole('img', { name: /^Section/ }).getAttribute('aria-label')!,
        )![1],
      );
    const balanced = depth();
    slide('Top tension', 300);
    await waitFor(() => expect(depth()).toBeLessThan(balanced));
    slide('Top tension', 20);
    await waitFor(() => expect(depth()).toBeGreaterThan(balanced));
  });
  test('longer stitches are told in both units', async () => {
    panel();
    slide('Stitch length', 5);
    expect(await screen.findByText('5 spi, 5.1 mm')).toBeInTheDocument();
  });
});

describe('the Match page of a zone', () => {
  const show = (part: Partial<React.ComponentProps<typeof MatchScreen>> = {}) =>
    render(
      <MatchScreen
        quiltId="q"
        zone={{ id: 'z', name: 'Open water', letter: 'C', fabrics: [] }}
        about="swirls, 0.5 in apart"
        candidates={candidates}
        seenVersion={2}
        backingHex="#d8cfbb"
        school="both"
        ends={{
          technique: 'swirls',
          use: 'bed',
          top: [{ fabric: 'quilting-cotton' }],
          meetsEdge: false,
          besideLater: false,
          school: 'lock',
        }}
        shank="Round shank"
        held={{ spi: 12 }}
        machine={coreMachine}
        vary={vary}
        card={null}
        {...part}
      />,
    );
  test('a studio that sets by dial and eye never reads grams first', () => {
    show({ school: 'dial' });
    const card = screen.getByRole('region', { name: 'Setting card' });
    expect(card).toHaveTextContent(/(?:mark [\d¼½¾]+|light|medium|firm).*about \d+ g on a gauge/);
  });
  test('choosing sends the pair, what was held, and the version seen', async () => {
    const choose = jest.mocked(doors.chooseSetup);
    show();
    await userEvent.click(screen.getAllByRole('radio')[1]!);
    await userEvent.click(screen.getByRole('button', { name: 'Test this set-up' }));
    expect(choose.mock.calls.at(-1)![0]).toMatchObject({
      quiltId: 'q',
      zoneId: 'z',
      topId: candidates[1]!.setup.topId,
      bobbinId: candidates[1]!.setup.bobbinId,
      seenVersion: 2,
      holdSpi: 12,
      holdNm: null,
    });
    await waitFor(() => expect(router.push).toHaveBeenCalledWith('/quilts/q/test?zone=z'));
  });
  test('a card changed in another window is said, and nothing is left', async () => {
    jest.mocked(doors.chooseSetup).mockResolvedValueOnce({
      ok: false,
      conflict: true,
      problems: [{ path: '', message: 'This card was changed in another window meanwhile.' }],
    });
    show();
    await userEvent.click(screen.getByRole('button', { name: 'Test this set-up' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('another window');
    expect(router.push).not.toHaveBeenCalled();
  });
  test('a proven card leads to its tests', () => {
    const known = { value: null, source: 'proven' as const };
    show({
      candidates: [
        {
          ...best,
          known,
          proven: { topGf: 90, bobbinGf: 18, words: 'balanced 12 Nov, 3 tests', over: 'over Haze blue' },
        },
      ],
    });
    expect(screen.getByText(/balanced 12 Nov, 3 tests/)).toBeVisible();
    expect(screen.getByRole('link', { name: 'See its tests' })).toHaveAttribute(
      'href',
      '/quilts/q/test?zone=z',
    );
    expect(screen.getByRole('region', { name: 'Setting card' })).toHaveTextContent('(tested)');
  });
  test('safety stands on the page, with the manual before it', () => {
    show();
    const mind = screen.getByRole('region', { name: 'Cautions' });
    expect(mind).toHaveTextContent('Keep both hands outside the foot');
    expect(mind).toHaveTextContent('The machine’s manual comes first');
  });
});

describe('sums along a ruler', () => {
  test('the radius sewn is the edge’s and the foot’s, outside and inside', async () => {
    render(<RulerSums offsetIn={0.25} />);
    const region = screen.getByRole('region', { name: 'Along the ruler' });
    expect(region).toHaveTextContent('Sews a radius of 6.25 in');
    const edge = await screen.findByRole('combobox', { name: 'Edge' });
    edge.focus();
    await userEvent.keyboard('{Enter}');
    await userEvent.click(await screen.findByRole('option', { name: 'inside of a curve' }));
    expect(region).toHaveTextContent('Sews a radius of 5.75 in');
  });
  test('repeats that do not fit are cautioned, and an arc too wide is said in words', async () => {
    render(<RulerSums offsetIn={0.25} />);
    const repeat = screen.getByLabelText(/Repeat/);
    await userEvent.clear(repeat);
    await fill(repeat, '41');
    expect(screen.getByRole('region')).toHaveTextContent(/1 repeats at 146 %/);
    const chord = screen.getByLabelText(/Arc from point/);
    await userEvent.clear(chord);
    await fill(chord, '40');
    expect(screen.getByRole('region')).not.toHaveTextContent('deep');
  });
  test('the ruler’s own caution is always there', () => {
    render(<RulerSums offsetIn={0.25} />);
    expect(screen.getByText(/before lifting the foot/)).toBeInTheDocument();
  });
});

describe('sums for couching', () => {
  test('yarn, skeins and foot', async () => {
    render(<CouchingSums holeMm={3} pathIn={1000} gapIn={1} radiusIn={0.75} />);
    const region = screen.getByRole('region');
    // 25.4 m · 1.06 + 4 · 0.2 m
    expect(region).toHaveTextContent('27.7 m');
    expect(region).toHaveTextContent('1 skein;');
    expect(region).toHaveTextContent('the couching foot takes it');
    const yarn = screen.getByRole('textbox', { name: /Yarn/ });
    await userEvent.clear(yarn);
    await fill(yarn, '5');
    expect(region).toHaveTextContent('guided by hand before the ruler foot');
    expect(region).toHaveTextContent('wants a hole of 5.5 mm');
  });
  test('what is not a number gives no sum, and hands stay clear all the same', async () => {
    render(<CouchingSums holeMm={null} pathIn={1000} gapIn={1} radiusIn={0.75} />);
    await userEvent.clear(screen.getByRole('textbox', { name: /Path/ }));
    expect(screen.getByRole('region')).not.toHaveTextContent('of yarn');
    expect(screen.getByText(/Keep both hands outside the foot/)).toBeInTheDocument();
  });
});
