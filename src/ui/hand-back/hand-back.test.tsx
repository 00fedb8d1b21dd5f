import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { doors } from '@/actions/doors';
import { router } from '@/ui/testing/browser';
import { lastTold, refuseNext } from '@/ui/testing/studio';
import { fill } from '@/ui/testing/fill';
import { HomeForm } from './HomeForm';
import { MeasureForm } from './MeasureForm';
import { TickAct } from './TickAct';

const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

describe('it goes home', () => {
  const show = (part: Partial<React.ComponentProps<typeof HomeForm>> = {}) =>
    render(<HomeForm quiltId="q" version={7} home={false} open={0} {...part} />);
  test('with nothing open it takes one press and asks nothing', async () => {
    show();
    expect(screen.queryByRole('textbox')).toBeNull();
    await press('It is handed back');
    expect(lastTold(doors.handBack)).toEqual({ quiltId: 'q', version: 7, home: true });
    await waitFor(() => expect(router.refresh).toHaveBeenCalled());
  });
  test('with a fault open somebody says by name who lets it go, and why', async () => {
    show({ open: 2 });
    const [by, why] = screen.getAllByRole('textbox');
    await fill(by!, 'Ida Pell');
    await fill(why!, 'The client knows of it');
    await press('It is handed back');
    expect(lastTold(doors.handBack)).toMatchObject({
      home: true,
      waivedBy: 'Ida Pell',
      waivedWhy: 'The client knows of it',
    });
  });
  test('without a name it is told so at the field; what was typed beside it stays', async () => {
    show({ open: 1 });
    const [by, why] = screen.getAllByRole('textbox');
    await fill(why!, 'The client knows of it');
    refuseNext(doors.handBack, 'waivedBy', 'Say who lets it go.');
    await press('It is handed back');
    expect(await screen.findByText('Say who lets it go.')).toBeInTheDocument();
    expect(by).toBeInvalid();
    expect(why).toHaveValue('The client knows of it');
    expect(router.refresh).not.toHaveBeenCalled();
  });
  test('brought back it asks for no waiver, whatever is open', async () => {
    show({ home: true, open: 3 });
    expect(screen.queryByRole('textbox')).toBeNull();
    await press('Bring it back to the Rack');
    expect(lastTold(doors.handBack)).toEqual({ quiltId: 'q', version: 7, home: false });
  });
});

describe('how it came out', () => {
  const show = (widthsIn: number[] | null = null, lengthsIn: number[] | null = null) =>
    render(<MeasureForm quiltId="q" version={3} widthsIn={widthsIn} lengthsIn={lengthsIn} word="" />);
  const inputs = () => screen.getAllByRole('textbox').slice(0, 6);
  test('six places in order, widths first', async () => {
    show();
    for (const [i, n] of ['60', '60.5', '60 1/4', '72', '72', '71.5'].entries()) await fill(inputs()[i]!, n);
    await press('Keep the measures');
    expect(lastTold(doors.measureHandBack)).toMatchObject({
      quiltId: 'q',
      version: 3,
      widthsIn: [60, 60.5, 60.25],
      lengthsIn: [72, 72, 71.5],
    });
  });
  test('what is known stands in its place and goes out again unchanged', async () => {
    show([60, 61, 62], [70, 71, 72]);
    expect(inputs().map((i) => (i as HTMLInputElement).value)).toEqual(['60', '61', '62', '70', '71', '72']);
    await press('Keep the measures');
    expect(lastTold(doors.measureHandBack)).toMatchObject({
      widthsIn: [60, 61, 62],
      lengthsIn: [70, 71, 72],
    });
  });
  test('a place left out is said, and the five that were measured are not lost', async () => {
    show();
    for (const i of [0, 1, 2, 3, 4]) await fill(inputs()[i]!, String(50 + i));
    refuseNext(doors.measureHandBack, 'lengthsIn', 'Measure the length at three places.');
    await press('Keep the measures');
    expect(await screen.findByText('Measure the length at three places.')).toBeInTheDocument();
    expect(inputs().map((i) => (i as HTMLInputElement).value)).toEqual(['50', '51', '52', '53', '54', '']);
  });
});

test('an act is ticked with its time, and pressing again takes it back', async () => {
  const { rerender } = render(
    <TickAct quiltId="q" version={1} act="off" label="Looked over" at={null} first />,
  );
  await press('Looked over');
  expect(lastTold(doors.markHandBack)).toEqual({ quiltId: 'q', version: 1, act: 'off', done: true });
  rerender(
    <TickAct quiltId="q" version={2} act="off" label="Looked over" at={new Date('2026-11-25T14:05:00')} />,
  );
  const ticked = screen.getByRole('button', { name: 'Looked over, 25 Nov, 14:05' });
  expect(ticked).toHaveAttribute('aria-pressed', 'true');
  await userEvent.click(ticked);
  expect(lastTold(doors.markHandBack)).toEqual({ quiltId: 'q', version: 2, act: 'off', done: false });
});
