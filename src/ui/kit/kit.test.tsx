import { act, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Result } from '@/actions/result';
import { Button, ButtonLink } from './Button';
import { CautionLine } from './CautionLine';
import { ColourField } from './ColourField';
import { Empty } from './Empty';
import { TextArea, TextField } from './Field';
import { HeadRow } from './HeadRow';
import { Modal } from './Modal';
import { numberOf } from './number-of';
import { Problems } from './Problems';
import { type FieldSpec, fromForm, toForm } from './field-spec';
import { RecordForm } from './RecordForm';
import { Sourced, SourceKey } from './Sourced';
import { Stepper } from './Stepper';
import { ThreadSwatch } from './Swatch';
import { useActionForm } from './use-action-form';
import { fill } from '@/ui/testing/fill';

const refused = (...problems: { path: string; message: string }[]): Result<never> => ({
  ok: false,
  problems,
});

describe('a number as it is typed', () => {
  test.each([
    ['', null],
    ['   ', null],
    ['12', 12],
    ['12.5', 12.5],
    ['12,5', 12.5],
    [' 7 ', 7],
    ['-3', -3],
    ['twelve', 'twelve'],
    ['1.2.3', '1.2.3'],
    ['Infinity', 'Infinity'],
  ])('%p is %p', (text, value) => {
    expect(numberOf(text)).toBe(value);
  });
});

describe('where a number comes from', () => {
  test.each([
    ['predicted', 'predicted'],
    ['proven', 'tested'],
    ['learned', 'learned'],
  ] as const)('%s is heard as well as seen', (kind, word) => {
    const { container } = render(<Sourced of={{ source: kind }}>12</Sourced>);
    expect(container).toHaveTextContent(`12 (${word})`);
    expect(container.firstChild).toHaveClass(
      { predicted: 'basted', proven: 'stitched', learned: 'doubled' }[kind],
    );
  });
  test('the key names all three', () => {
    render(<SourceKey />);
    expect(screen.getAllByRole('listitem').map((li) => li.textContent)).toEqual([
      'predicted',
      'tested or measured',
      'learned from your log',
    ]);
  });
});

describe('a caution', () => {
  test.each([
    ['note', 'Note'],
    ['warn', 'Caution'],
    ['stop', 'Stop'],
  ] as const)('%s is said by a word, not by colour alone', (severity, word) => {
    render(<CautionLine caution={{ code: 'x', severity, text: 'Mind the needle.' }} />);
    expect(screen.getByText(new RegExp(`${word}:`))).toBeInTheDocument();
  });
  test('what to do stands after what is wrong', () => {
    const { container } = render(
      <CautionLine
        caution={{ code: 'x', severity: 'warn', text: 'Three metres left.', act: 'Have another ready.' }}
      />,
    );
    expect(container).toHaveTextContent('Three metres left. Have another ready.');
  });
});

describe('fields', () => {
  test('a field is found by its label, and its error is announced and tied to it', () => {
    render(
      <TextField
        id="tex"
        label="Tex"
        hint="g per km"
        error="Tex must lie between 1 and 500."
        defaultValue="0"
      />,
    );
    const input = screen.getByLabelText(/Tex/);
    expect(input).toBeInvalid();
    expect(input).toHaveAccessibleDescription('Tex must lie between 1 and 500.');
    expect(screen.getByRole('alert')).toHaveTextContent('between 1 and 500');
  });
  test('a field without an error is not marked', () => {
    render(<TextArea id="notes" label="Notes" defaultValue="kept" />);
    expect(screen.getByLabelText('Notes')).toBeValid();
    expect(screen.queryByRole('alert')).toBeNull();
  });
  test('words offered while typing', () => {
    render(<TextField id="line" list="line-words" label="Line" suggest={['Heron Poly 40', 'Drift']} />);
    expect(document.querySelectorAll('#line-words option')).toHaveLength(2);
  });
  test('a colour can be typed, or taken from the palette', async () => {
    const onChange = jest.fn();
    render(<ColourField id="hex" label="Colour" value="#6e3b63" onChange={onChange} />);
    await fill(screen.getByLabelText('Colour'), 'f');
    expect(onChange).toHaveBeenCalledWith('#6e3b63f');
    expect(screen.getByLabelText('Colour, palette')).toHaveValue('#6e3b63');
  });
  test('a colour half typed leaves the palette at grey', () => {
    render(<ColourField id="hex" label="Colour" value="#6e3" onChange={() => {}} />);
    expect(screen.getByLabelText('Colour, palette')).toHaveValue('#888888');
  });
});

describe('problems that belong to no field', () => {
  const problems = [
    { path: 'tex', message: 'Tex is missing.' },
    { path: '', message: 'Changed in another window.' },
  ];
  test('those of fields are left to their fields', () => {
    render(<Problems problems={problems} fields={['tex']} />);
    expect(screen.getByRole('alert')).toHaveTextContent('Changed in another window.');
    expect(screen.getByRole('alert')).not.toHaveTextContent('Tex is missing.');
  });
  test('nothing to say, nothing shown', () => {
    const { container } = render(<Problems problems={[]} />);
    expect(container).toBeEmptyDOMElement();
  });
  test('a path within a field is the field’s', () => {
    const { container } = render(
      <Problems problems={[{ path: 'zones.2.name', message: 'x' }]} fields={['zones']} />,
    );
    expect(container).toBeEmptyDOMElement();
  });
});

test('a count goes up and down, and never below nothing', async () => {
  const onChange = jest.fn();
  const { rerender } = render(<Stepper label="Bobbins" value={1} onChange={onChange} />);
  await userEvent.click(screen.getByRole('button', { name: 'One more' }));
  await userEvent.click(screen.getByRole('button', { name: 'One less' }));
  expect(onChange.mock.calls).toEqual([[2], [0]]);
  rerender(<Stepper label="Bobbins" value={0} onChange={onChange} />);
  expect(screen.getByRole('button', { name: 'One less' })).toBeDisabled();
});

test('an empty list teaches and offers the first act', () => {
  render(
    <Empty title="No cones yet" act={<Button>Add a cone</Button>}>
      A cone once weighed is known for good.
    </Empty>,
  );
  expect(screen.getByRole('heading', { name: 'No cones yet' })).toBeInTheDocument();
  expect(screen.getByRole('button', { name: 'Add a cone' })).toBeInTheDocument();
});

test('a button does not send a form unless it is meant to', () => {
  render(
    <>
      <Button>Plain</Button>
      <Button type="submit">Send</Button>
      <ButtonLink href="/shelf">Shelf</ButtonLink>
    </>,
  );
  expect(screen.getByRole('button', { name: 'Plain' })).toHaveAttribute('type', 'button');
  expect(screen.getByRole('button', { name: 'Send' })).toHaveAttribute('type', 'submit');
  expect(screen.getByRole('link', { name: 'Shelf' })).toHaveAttribute('href', '/shelf');
});

test('the head of a table names its last column for those who hear it', () => {
  render(
    <table>
      <HeadRow names={['Name', 'Kind']} />
    </table>,
  );
  expect(screen.getAllByRole('columnheader').map((h) => h.textContent)).toEqual(['Name', 'Kind', 'Act']);
});

test('a swatch is decoration, and a clear thread still has one', () => {
  const { container } = render(<ThreadSwatch hex={null} />);
  expect(container.querySelector('svg')).toHaveAttribute('aria-hidden');
  expect(container.querySelector('rect')!.getAttribute('fill')).toMatch(/^#[0-9a-f]{6}$/);
});

test('a dialog is named, and closes with Escape and with its cross', async () => {
  const onOpenChange = jest.fn();
  render(
    <Modal open onOpenChange={onOpenChange} title="Note a fault" about="What is seen, and where.">
      <p>Inside</p>
    </Modal>,
  );
  const dialog = screen.getByRole('dialog', { name: 'Note a fault' });
  expect(dialog).toHaveAccessibleDescription('What is seen, and where.');
  await userEvent.keyboard('{Escape}');
  await userEvent.click(screen.getByRole('button', { name: 'Close' }));
  expect(onOpenChange.mock.calls).toEqual([[false], [false]]);
});

describe('a form sent to an action', () => {
  function Form({
    act,
    onDone,
  }: {
    act: (i: unknown) => Promise<Result<unknown>>;
    onDone: (v: unknown) => void;
  }) {
    const { send, pending, problems, problemAt } = useActionForm(act, onDone);
    return (
      <>
        <button onClick={() => !pending && send({ name: 'Teal' })}>send</button>
        <p data-testid="at">{problemAt('name')}</p>
        <Problems problems={problems} fields={['name']} />
      </>
    );
  }
  const press = () => userEvent.click(screen.getByRole('button', { name: 'send' }));

  test('the key stays the same until it is stored, then a new filling has a new one', async () => {
    const act = jest
      .fn<Promise<Result<unknown>>, [unknown]>()
      .mockResolvedValueOnce(refused({ path: 'name', message: 'Another has this name.' }))
      .mockResolvedValue({ ok: true, value: 1 });
    const onDone = jest.fn();
    render(<Form act={act} onDone={onDone} />);
    await press();
    expect(await screen.findByText('Another has this name.')).toBeInTheDocument();
    await press();
    await press();
    const keys = act.mock.calls.map(([input]) => (input as { key: string }).key);
    expect(keys[0]).toBe(keys[1]);
    expect(keys[2]).not.toBe(keys[1]);
    expect(onDone).toHaveBeenCalledTimes(2);
    expect(screen.getByTestId('at')).toBeEmptyDOMElement();
  });
  test('a line that drops is said, and the same filling can be sent again', async () => {
    const act = jest
      .fn<Promise<Result<unknown>>, [unknown]>()
      .mockRejectedValueOnce(new Error('fetch failed'))
      .mockResolvedValue({ ok: true, value: 1 });
    render(<Form act={act} onDone={() => {}} />);
    await press();
    expect(await screen.findByRole('alert')).toHaveTextContent('Nothing you typed is lost');
    await press();
    const [first, second] = act.mock.calls.map(([input]) => (input as { key: string }).key);
    expect(second).toBe(first);
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  });
});

describe('a record’s form', () => {
  const specs: readonly FieldSpec[] = [
    { name: 'name', label: 'Name', kind: 'text' },
    { name: 'tex', label: 'Tex', kind: 'number' },
    { name: 'widthIn', label: 'Width', kind: 'inches' },
    { name: 'thickMm', label: 'Thickness', kind: 'mm' },
    { name: 'coated', label: 'Coated', kind: 'yes' },
    {
      name: 'feet',
      label: 'Feet',
      kind: 'checks',
      options: [
        { value: 'ruler', label: 'Ruler foot' },
        { value: 'bowl', label: 'Bowl foot' },
      ],
    },
    { name: 'holeMm', label: 'Hole', kind: 'number', when: (v) => v.coated === true },
    { name: 'notes', label: 'Notes', kind: 'long' },
  ];
  const stored = {
    name: 'Teal',
    tex: 23.62,
    widthIn: 108,
    thickMm: null,
    coated: false,
    feet: ['ruler'],
    holeMm: 3,
    notes: '',
  };

  test('what is stored is shown, and sent as it was', () => {
    const shown = toForm(specs, stored);
    expect(shown).toMatchObject({
      name: 'Teal',
      tex: '23.62',
      widthIn: '108',
      thickMm: '',
      coated: false,
      feet: ['ruler'],
    });
    expect(fromForm(specs, shown)).toMatchObject({
      name: 'Teal',
      tex: 23.62,
      widthIn: 108,
      thickMm: null,
      coated: false,
      feet: ['ruler'],
    });
  });
  test('a field that is not asked for is sent as nothing', () => {
    expect(fromForm(specs, toForm(specs, stored)).holeMm).toBeNull();
    expect(fromForm(specs, toForm(specs, { ...stored, coated: true })).holeMm).toBe(3);
  });
  test.each([
    ['widthIn', '108', 108],
    ['widthIn', '274 cm', 274 / 2.54],
    ['widthIn', '12 in', 12],
    ['widthIn', 'wide', 'wide'],
    ['thickMm', '6', 6],
    ['thickMm', '0.25 in', 6.35],
  ])('%s typed as %p is %p', (name, text, value) => {
    const sent = fromForm(specs, { ...toForm(specs, stored), [name]: text })[name];
    if (typeof value === 'number') expect(sent).toBeCloseTo(value, 6);
    else expect(sent).toBe(value);
  });
  test('problems stand at their field and nothing typed is lost', async () => {
    const act = jest
      .fn<Promise<Result<{ id: string }>>, [unknown]>()
      .mockResolvedValueOnce(refused({ path: 'tex', message: 'Tex: give a number.' }))
      .mockResolvedValueOnce({ ok: true, value: { id: 'x' } });
    const onDone = jest.fn();
    render(
      <RecordForm
        specs={specs}
        initial={stored}
        fixed={{ id: 'x', version: 4 }}
        act={act}
        onDone={onDone}
        submit="Keep it"
      />,
    );
    const tex = screen.getByLabelText('Tex');
    await userEvent.clear(tex);
    await fill(tex, 'thick');
    await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(await screen.findByText('Tex: give a number.')).toBeInTheDocument();
    expect(tex).toHaveValue('thick');
    expect(act.mock.calls[0]![0]).toMatchObject({ id: 'x', version: 4, tex: 'thick', name: 'Teal' });
    await userEvent.clear(tex);
    await fill(tex, '24');
    await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    await waitFor(() => expect(onDone).toHaveBeenCalledWith({ id: 'x' }));
    expect(act.mock.calls[1]![0]).toMatchObject({ tex: 24 });
  });
  test('fields come and go with what they hang on, and boxes can be ticked', async () => {
    render(
      <RecordForm
        specs={specs}
        initial={stored}
        act={() => new Promise(() => {})}
        onDone={() => {}}
        submit="Keep it"
      />,
    );
    expect(screen.queryByLabelText('Hole')).toBeNull();
    await act(() => userEvent.click(screen.getByLabelText('Coated')));
    expect(screen.getByLabelText('Hole')).toHaveValue('3');
    await userEvent.click(screen.getByLabelText('Bowl foot'));
    expect(screen.getByLabelText('Bowl foot')).toBeChecked();
  });
});
