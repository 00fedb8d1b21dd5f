import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import { shelf } from '@/core/testing/a-shelf';
import { quickTold, type QuickQuestion } from '@/workers/quick-told';
import { router } from '@/ui/testing/browser';
import { lastSent, refuseNext } from '@/ui/testing/studio';
import { fill } from '@/ui/testing/fill';
import { quickSetup, USUAL_MACHINE } from '@/core/match/quick';
import { sharedSetupFile } from '@/core/match/shared-setup';
import { QuickScreen } from './QuickScreen';

// The worker's answer, given at once.
jest.mock('./use-quick', () => ({
  useQuick: (question: QuickQuestion) => ({ answer: quickTold(question), problem: null }),
}));

const list = (...rows: [string, string][]) => rows.map(([value, label]) => ({ value, label }));
const show = (studio: Partial<QuickQuestion['studio']> = {}) =>
  render(
    <QuickScreen
      first={{
        fabric: 'quilting-cotton',
        batting: 'cotton-80-20',
        technique: 'meander-medium',
        backing: 'quilting-cotton',
        thread: '',
        use: 'bed',
        visibility: 'texture',
      }}
      lists={{
        fabrics: list(['quilting-cotton', 'quilting cotton'], ['plush', 'plush'], ['satin', 'satin']),
        battings: list(['cotton-80-20', 'cotton 80/20'], ['wool', 'wool']),
        techniques: list(['meander-medium', 'medium meander'], ['feathers', 'feathers']),
        uses: list(['bed', 'Bed quilt'], ['baby', 'Baby quilt']),
        wishes: list(['texture', 'be texture'], ['show', 'show']),
      }}
      usual={[]}
      zones={[]}
      studio={{ machine: null, threads: [], needles: [], tensionSchool: 'both', measured: [], ...studio }}
    />,
  );
const answer = () => screen.getByRole('region', { name: 'The set-up' });
const labelled = (text: string) => screen.getByLabelText(text, { exact: true });

test('before anything is said there is an answer, with what was taken for granted', () => {
  show();
  expect(answer()).toHaveTextContent('40 wt polyester');
  expect(answer()).toHaveTextContent(/Nm 100 · US 16 · 3\.5/);
  expect(answer()).toHaveTextContent(/Taken for granted: a longarm of the usual kind/);
  expect(screen.getByRole('link', { name: 'Add your threads' })).toHaveAttribute('href', '/shelf');
});
test('each thing said changes it at once', async () => {
  show();
  const before = answer().textContent;
  await userEvent.selectOptions(labelled('Fabric'), 'satin');
  const satin = answer().textContent;
  expect(satin).not.toBe(before);
  expect(satin).toMatch(/Nm (70|75|80|90)/);
  await userEvent.selectOptions(labelled('Technique'), 'feathers');
  expect(answer().textContent).not.toBe(satin);
});
test('a label that cannot be read is said at its field, and the answer before it is not told as if it held', async () => {
  show();
  await fill(screen.getByLabelText(/^Thread, as on its label/), 'tex 5000');
  expect(screen.getAllByRole('alert')[0]).toHaveTextContent(/threads lie between/);
  expect(answer()).not.toHaveTextContent('Stitches per inch');
});
test('a cone of the shelf is taken by its name', async () => {
  const cone = shelf.find((t) => t.fibre === 'cotton' && t.role !== 'bobbin')!;
  show({ threads: shelf.map((t) => ({ ...t, name: t.id })) });
  await fill(screen.getByLabelText(/^Thread, as on its label/), cone.id);
  expect(answer()).toHaveTextContent(`${cone.id} on top`);
  expect(screen.queryByRole('link', { name: 'Add your threads' })).toBeNull();
});
test('what a word means is one press away', async () => {
  show();
  await userEvent.click(screen.getByRole('button', { name: 'Bobbin tension' }));
  expect(await screen.findByText(/Set it first; the top follows it/)).toBeInTheDocument();
});
test('a quilt is begun with it; what is refused is said', async () => {
  show();
  refuseNext(doors.beginIntake, 'quick.fabric', 'Pick the fabric from the list.');
  await userEvent.click(screen.getByRole('button', { name: 'Take in a quilt with it' }));
  expect(await screen.findByText(/Pick the fabric from the list/)).toBeInTheDocument();
  jest.mocked(doors.beginIntake).mockResolvedValueOnce({ ok: true, value: { id: 'intake-9' } });
  // What is under way is not pressed twice.
  await waitFor(() => expect(screen.getByRole('button', { name: 'Take in a quilt with it' })).toBeEnabled());
  await userEvent.click(screen.getByRole('button', { name: 'Take in a quilt with it' }));
  await waitFor(() => expect(router.push).toHaveBeenCalledWith('/take-in/intake-9'));
  expect(lastSent(doors.beginIntake)).toMatchObject({
    quick: { fabric: 'quilting-cotton', use: 'bed', words: 'medium meander with 40 wt polyester' },
  });
});

describe('a set-up somebody gave', () => {
  const ask = {
    fabric: 'plush',
    batting: 'wool',
    technique: 'feathers',
    backing: 'quilting-cotton',
    thread: '',
    use: 'baby',
    visibility: 'show',
  } as const;
  const strong = { ...USUAL_MACHINE, maxSpm: 3000 };
  const told = quickSetup(ask, {
    machine: strong,
    threads: [],
    needles: [],
    tensionSchool: 'both',
    scales: {},
  });
  const give = (text: string) =>
    userEvent.upload(
      labelled('Open a set-up somebody gave you'),
      // This browser's files cannot tell their text themselves.
      Object.assign(new File([text], 'given.json', { type: 'application/json' }), {
        text: () => Promise.resolve(text),
      }),
    );

  test('fills the form, is matched anew, and says what is otherwise here', async () => {
    show();
    await give(sharedSetupFile(ask, told, strong));
    await waitFor(() => expect(labelled('Technique')).toHaveValue('feathers'));
    expect(labelled('Fabric')).toHaveValue('plush');
    expect(await screen.findByRole('region', { name: 'As it was given' })).toBeVisible();
  });
  test('a file that is none leaves what was typed', async () => {
    show();
    await give('{"format":"another"}');
    expect(await screen.findByRole('alert')).toHaveTextContent('given.json: This is no set-up');
    expect(labelled('Technique')).toHaveValue('meander-medium');
  });
});
