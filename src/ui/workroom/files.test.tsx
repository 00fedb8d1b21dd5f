import { MishapList } from './MishapList';
import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { looks } from '@/actions/doors';
import type { CopyMade } from '@/data/types';
import { lastSent, refuseNext } from '@/ui/testing/studio';
import { copyWords } from './BackupPanel';
import { FilesScreen } from './FilesScreen';
import { readCsv } from './read-csv';

jest.mock('@/ui/kit/send-file', () => {
  const ways: Record<string, jest.Mock> = {};
  return {
    ways,
    sendFile: (url: string) => (ways[url] ??= jest.fn(() => Promise.resolve({ ok: true, value: {} }))),
  };
});
const { ways } = jest.requireMock<{ ways: Record<string, jest.Mock> }>('@/ui/kit/send-file');
const sends = { rows: ways['/import/rows']!, workroom: ways['/import/workroom']! };

const csv = (text: string | Uint8Array, name = 'cones.csv') => {
  const bytes = typeof text === 'string' ? new TextEncoder().encode(text) : text;
  const file = new File([bytes as BlobPart], name, { type: 'text/csv' });
  Object.assign(file, { arrayBuffer: () => Promise.resolve(bytes.slice().buffer) });
  return file;
};
const GOOD =
  'line,colour,label,fibre\nSkerry Poly,Kelp,Tex 27,polyester-filament\nSkerry Poly,Foam,Tex 27,polyester-filament\n';

describe('reading a file', () => {
  test.each([
    ['commas', 'a,b\n1,2\n', ',', '.'],
    ['semicolons, and so decimal commas', 'a;b\n1,5;2\n', ';', ','],
    ['tabs', 'a\tb\n1\t2\n', '\t', '.'],
  ])('%s', async (_, text, delimiter, decimal) =>
    expect(await readCsv(csv(text))).toMatchObject({ delimiter, decimal, header: ['a', 'b'] }),
  );
  test('letters of an old encoding are read as they were meant', async () => {
    const latin = new Uint8Array([...'a,b\nCaf'].map((c) => c.charCodeAt(0)).concat([0xe9, 44, 50, 10]));
    const read = await readCsv(csv(latin));
    expect(typeof read === 'string' ? read : read.rows[0]).toEqual(['Café', '2']);
  });
  test.each([
    ['an empty file', '', 'empty'],
    ['one column', 'only\n1\n', 'No columns were found'],
    ['no rows', 'a,b\n', 'no rows'],
    ['a quotation left open', 'a,b\n"1,2\n', 'quotation mark is not closed'],
  ])('%s is said in words', async (_, text, words) => expect(await readCsv(csv(text))).toContain(words));
  test('too many rows are refused with the number', async () => {
    expect(await readCsv(csv(`a,b\n${'1,2\n'.repeat(20_001)}`))).toContain('20001 rows');
  });
  test('a file that is no text is refused', async () => {
    const bytes = new Uint8Array(4000).map((_, i) => (i * 7) % 32);
    expect(await readCsv(csv(bytes))).toEqual(expect.any(String));
  });
});

describe('the last copy', () => {
  const asked = new Date(2026, 10, 30, 9, 30).getTime();
  const made = (secondsAgo: number, more: Partial<CopyMade> = {}): CopyMade => ({
    file: 'copy.zip',
    at: new Date(asked - secondsAgo * 1000),
    bytes: 2_400_000,
    problem: '',
    verifiedAt: null,
    ...more,
  });
  test('is told as of the moment the page was asked for, whenever the page wakes', () => {
    const { good, words } = copyWords([made(20)], asked);
    expect(good).toBe(true);
    expect(words).toContain('less than a minute ago');
    expect(copyWords([made(95)], asked).words).toContain('2 minutes ago');
  });
  test('a last try that failed is told beside the last good one', () => {
    const { good, words } = copyWords([made(5, { problem: 'No room.' }), made(7200)], asked);
    expect(good).toBe(false);
    expect(words).toMatch(/about 2 hours ago.*No room\.$/);
  });
});

describe('in from a file', () => {
  const give = async (text: string) => {
    render(<FilesScreen />);
    jest.mocked(looks.importHints).mockResolvedValue({ keys: [], mapping: null } as never);
    await userEvent.upload(screen.getByLabelText(/Drop a CSV file here/), csv(text));
  };
  test('nothing is stored until it has been seen', async () => {
    await give(GOOD);
    expect(await screen.findByText('2 good')).toBeInTheDocument();
    expect(sends.rows).not.toHaveBeenCalled();
    await userEvent.click(screen.getByRole('button', { name: 'Store all 2' }));
    expect(lastSent(sends.rows)).toMatchObject({
      kind: 'cones',
      fileName: 'cones.csv',
      take: 'all',
      decimal: '.',
    });
    expect(lastSent(sends.rows).rows).toHaveLength(2);
  });
  test('a row with a problem is named by row and column; the good ones can be stored', async () => {
    await give(`${GOOD}Skerry Poly,Rust,thick,polyester-filament\n`);
    expect(await screen.findByText('2 good')).toBeInTheDocument();
    const problems = screen.getByRole('list', { name: 'Problems by row and column' });
    expect(problems).toHaveTextContent(/row 4/);
    await userEvent.click(screen.getByRole('button', { name: 'Store the 2 good ones' }));
    expect(lastSent(sends.rows)).toMatchObject({ take: 'good' });
  });
  test('the same cone twice in the file is pointed out', async () => {
    await give(`${GOOD}skerry poly,KELP,Tex 27,polyester-filament\n`);
    expect(await screen.findByText(/Stands in row 2 already/)).toBeInTheDocument();
  });
  test('a column that is not known can be said by hand', async () => {
    await give('Faden,Farbe,wie gedruckt,Art\nSkerry Poly,Kelp,Tex 27,polyester-filament\n');
    const alert = await screen.findByText(/Say which column holds:/);
    expect(alert).toBeInTheDocument();
    for (const [column, holds] of [
      ['Faden', 'line'],
      ['Farbe', 'colour'],
      ['wie gedruckt', 'label'],
      ['Art', 'fibre'],
    ])
      await userEvent.selectOptions(screen.getByLabelText(`Column ${column} holds`), holds!);
    expect(await screen.findByText('1 good')).toBeInTheDocument();
  });
  test('a column moved to another place leaves the old one', async () => {
    await give(GOOD);
    const select = await screen.findByLabelText('Column line holds');
    await userEvent.selectOptions(select, 'colour');
    expect(screen.getByLabelText('Column colour holds')).toHaveValue('');
  });
  test('what the server refuses is said, and the preview stays', async () => {
    await give(GOOD);
    refuseNext(sends.rows, '', 'The shelf changed meanwhile. Look again.');
    await userEvent.click(await screen.findByRole('button', { name: 'Store all 2' }));
    expect(await screen.findByText('The shelf changed meanwhile. Look again.')).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Store all 2' })).toBeInTheDocument();
  });
  test('a file that cannot be read is said, and left', async () => {
    await give('');
    expect(await screen.findByRole('alert')).toHaveTextContent('This file is empty.');
    await userEvent.click(screen.getByRole('radio', { name: 'Needles' }));
    expect(screen.queryByRole('alert')).not.toBeInTheDocument();
  });
  test('left alone, nothing is stored', async () => {
    await give(GOOD);
    await userEvent.click(await screen.findByRole('button', { name: 'Leave it' }));
    expect(screen.queryByText('2 good')).not.toBeInTheDocument();
    expect(sends.rows).not.toHaveBeenCalled();
  });
});

describe('out to files, and a whole workroom', () => {
  test('every kind has its own file', () => {
    render(<FilesScreen />);
    const out = screen.getByRole('region', { name: 'Out' });
    expect(
      within(out)
        .getAllByRole('link')
        .map((a) => a.getAttribute('href')),
    ).toEqual([
      '/export/cones',
      '/export/battings',
      '/export/fabrics',
      '/export/needles',
      '/export/workroom',
    ]);
  });
  test('a workroom goes in as its text; a refusal says where', async () => {
    render(<FilesScreen />);
    refuseNext(sends.workroom, 'threads.3.tex', 'Tex must lie between 1 and 1000.');
    const file = new File(['{"threads":[]}'], 'workroom.json', { type: 'application/json' });
    Object.assign(file, { text: () => Promise.resolve('{"threads":[]}') });
    await userEvent.upload(screen.getByLabelText('Workroom file'), file);
    await waitFor(() => expect(lastSent(sends.workroom)).toMatchObject({ text: '{"threads":[]}' }));
    expect(await screen.findByText('threads.3.tex: Tex must lie between 1 and 1000.')).toBeInTheDocument();
  });
});

test('what went wrong in the program is listed with its number; nothing is said to be nothing', () => {
  const { rerender } = render(<MishapList mishaps={[]} />);
  expect(screen.getByText(/Nothing so far/)).toBeInTheDocument();
  const at = new Date('2026-11-20T10:00:00Z');
  rerender(<MishapList mishaps={[{ n: 7, at, place: 'logTest', message: 'boom', stack: 'at line 1' }]} />);
  expect(screen.getByText('Number 7')).toBeInTheDocument();
  expect(screen.getByRole('group')).toHaveTextContent('boom');
});
