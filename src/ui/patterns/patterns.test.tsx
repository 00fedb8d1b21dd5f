import { fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import { rect } from '@/core/geometry/polygon';
import type { PatternUnit } from '@/core/pattern/lay';
import { sharedPatternFile } from '@/core/pattern/shared-file';
import type { StudioPattern } from '@/data/types';
import { fill } from '@/ui/testing/fill';
import { lastSent, refuseNext } from '@/ui/testing/studio';
import { PatternsScreen } from './PatternsScreen';
import { fileText } from './read-drawing';
import { ZonePatternScreen } from './ZonePatternScreen';

const unit: PatternUnit = {
  runs: [
    [
      [0, 0.25],
      [0.5, 0],
      [0.75, 0.5],
      [1, 0.25],
    ],
  ],
  heightShare: 0.5,
  goesOn: true,
};
const aPattern = (part: Partial<StudioPattern> = {}): StudioPattern => ({
  id: 'p1',
  name: 'Slack water',
  words: 'water calm',
  widthIn: 8,
  unit,
  measured: {
    lengthIn: 12,
    heightIn: 4,
    starts: 1,
    minRadiusIn: 1,
    points: 0,
    sewnTwicePct: 0,
    largestGapIn: 3,
  },
  version: 2,
  ...part,
});
const chop = aPattern({
  id: 'p2',
  name: 'Short chop',
  words: 'lively',
  widthIn: 4,
  measured: { ...aPattern().measured, heightIn: 2, minRadiusIn: 0.2, largestGapIn: 1 },
});

describe('the studio’s patterns', () => {
  test('are found by words, by the height of a row and by their curves', async () => {
    render(<PatternsScreen patterns={[aPattern(), chop]} />);
    expect(screen.getByRole('status')).toHaveTextContent('2 of 2');
    await fill(screen.getByLabelText('Words'), 'calm');
    expect(screen.getByRole('status')).toHaveTextContent('1 of 2');
    await userEvent.clear(screen.getByLabelText('Words'));
    await fill(screen.getByLabelText('A row at most, in'), '3');
    expect(screen.getByRole('list')).toHaveTextContent('Short chop');
    expect(screen.getByRole('list')).not.toHaveTextContent('Slack water');
    await fill(screen.getByLabelText('Curves at least, in'), '0.5');
    expect(screen.getByRole('status')).toHaveTextContent('0 of 2');
  });
  test('an empty studio says what a drawing is good for', () => {
    render(<PatternsScreen patterns={[]} />);
    expect(screen.getByRole('button', { name: 'Add a drawing' })).toBeInTheDocument();
  });
});

describe('a drawing file is known by what it holds', () => {
  const file = (text: string, name: string) =>
    Object.assign(new Blob([text]), { name, text: () => Promise.resolve(text) });
  test('SVG and DXF, whatever they are called', async () => {
    expect(await fileText(file('<?xml?><svg xmlns=""/>', 'a.txt'))).toMatchObject({
      ok: true,
      source: { svg: expect.any(String) as string },
    });
    expect(await fileText(file('  0\nSECTION\n', 'b.svg'))).toMatchObject({
      ok: true,
      source: { dxf: expect.any(String) as string },
    });
  });
  test('a pattern another studio gave brings its words; one of a newer program is told', async () => {
    const given = { name: 'Gift', words: 'kind', widthIn: 5, svg: '<svg viewBox="0 0 5 1"/>' };
    expect(await fileText(file(sharedPatternFile(given), 'gift.json'))).toEqual({
      ok: true,
      source: { svg: given.svg },
      given: { name: 'Gift', words: 'kind', widthIn: 5 },
    });
    const newer = sharedPatternFile(given).replace('"version": 1', '"version": 7');
    expect(await fileText(file(newer, 'gift.json'))).toMatchObject({ ok: false });
  });
  test('what is neither, and what is far too large, is told by its name', async () => {
    const none = await fileText(file('just words', 'letter.svg'));
    expect(none).toMatchObject({ ok: false, message: expect.stringContaining('letter.svg') as string });
    const large = await fileText(file('x'.repeat(4_000_001), 'scan.svg'));
    expect(large).toMatchObject({ ok: false, message: expect.stringContaining('at most 4') as string });
  });
});

describe('a pattern in a zone', () => {
  const show = (part: Partial<Parameters<typeof ZonePatternScreen>[0]> = {}) =>
    render(
      <ZonePatternScreen
        quilt={{ id: 'quilt-1', widthIn: 60, lengthIn: 80 }}
        zone={{
          id: 'z',
          letter: 'A',
          name: 'Border',
          version: 7,
          geometry: [[rect(0, 0, 40, 16)]],
          pattern: null,
        }}
        patterns={[aPattern(), chop]}
        depthIn={10}
        gapLimitIn={4}
        {...part}
      />,
    );

  test('rows, repeats, what is open and how many rows a pass takes are told as it is laid', () => {
    show();
    const region = screen.getByRole('region', { name: 'Slack water in Border' });
    expect(region).toHaveTextContent('4 rows of 5, each 8 in × 4 in');
    expect(region).toHaveTextContent('Repeats and rows come out whole');
    expect(region).toHaveTextContent('2 rows to a pass of 10 in: 2 passes');
    expect(region).toHaveTextContent('leaves 3 in open; this batting allows 4 in');
  });

  test('another width redraws at once and says what is cut; too open a pattern is warned of', () => {
    show();
    fireEvent.change(screen.getByLabelText(/One repeat, wide/), { target: { value: '12' } });
    const region = screen.getByRole('region', { name: 'Slack water in Border' });
    expect(region).toHaveTextContent('each 12 in × 6 in');
    expect(region).toHaveTextContent('% of a repeat is cut off');
    expect(within(region).getByText(/leaves 4.5 in open/)).toHaveClass('text-weld-text');
  });

  test('a row deeper than a pass says so, and rows down the quilt tell of a second loading', async () => {
    show({ depthIn: 3 });
    expect(document.body).toHaveTextContent('1 in deeper than a pass');
    await userEvent.click(screen.getByRole('radio', { name: 'down the quilt' }));
    expect(document.body).toHaveTextContent('second loading');
  });

  test('a scale that comes out whole is one tap', async () => {
    show({ patterns: [aPattern({ widthIn: 7 })] });
    await userEvent.click(screen.getByRole('radio', { name: '8 in: 5 × 4' }));
    expect(document.body).toHaveTextContent('Repeats and rows come out whole');
  });

  test('the zone is quilted so with its version; what is refused is said, and nothing is lost', async () => {
    show();
    await userEvent.click(screen.getByRole('button', { name: /Short chop/ }));
    refuseNext(doors.quiltPattern, 'patternId', 'This pattern is not known any more. Reload the page.');
    await userEvent.click(screen.getByRole('button', { name: 'Quilt A so' }));
    expect(lastSent(doors.quiltPattern)).toMatchObject({
      quiltId: 'quilt-1',
      zoneId: 'z',
      version: 7,
      patternId: 'p2',
      widthIn: 4,
      direction: 'across',
    });
    expect(await screen.findByText(/not known any more/)).toBeInTheDocument();
  });
});
