import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { PhotoButton } from './PhotoButton';

const picture = (name: string) => new File(['x'], name, { type: 'image/png' });

test('what is chosen is given on, and the same one may be chosen again', async () => {
  const onFile = jest.fn();
  render(
    <PhotoButton name="Photograph of stitches" onFile={onFile}>
      Take one
    </PhotoButton>,
  );
  const input = screen.getByLabelText('Photograph of stitches');
  await userEvent.upload(input, picture('a.png'));
  await userEvent.upload(input, picture('a.png'));
  expect(onFile.mock.calls.map(([f]) => (f as File).name)).toEqual(['a.png', 'a.png']);
});
test('it is reached by keyboard and says what it is for', async () => {
  render(
    <PhotoButton name="Photograph of stitches" capture="environment" onFile={() => {}}>
      Take one
    </PhotoButton>,
  );
  await userEvent.tab();
  expect(screen.getByLabelText('Photograph of stitches')).toHaveFocus();
  expect(screen.getByLabelText('Photograph of stitches')).toHaveAttribute('capture', 'environment');
});
