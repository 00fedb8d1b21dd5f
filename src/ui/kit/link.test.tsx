import { act, render, screen } from '@testing-library/react';
import { Link } from './Link';

const status = { pending: false };
jest.mock('next/link', () => ({
  ...jest.requireActual<object>('next/link'),
  useLinkStatus: () => status,
}));
const going = () => document.documentElement.classList.contains('going');

beforeEach(() => {
  jest.useFakeTimers();
  status.pending = false;
});
afterEach(() => jest.useRealTimers());

test('a link goes where it says and says nothing of itself while nothing is asked for', () => {
  render(<Link href="/shelf">Thread shelf</Link>);
  expect(screen.getByRole('link', { name: 'Thread shelf' })).toHaveAttribute('href', '/shelf');
  act(() => jest.advanceTimersByTime(1000));
  expect(going()).toBe(false);
});
test('a page that is long in coming is told to be on its way, and no longer once it is there', () => {
  status.pending = true;
  const page = render(<Link href="/shelf">Thread shelf</Link>);
  act(() => jest.advanceTimersByTime(140));
  expect(going()).toBe(false);
  act(() => jest.advanceTimersByTime(20));
  expect(going()).toBe(true);
  page.unmount();
  expect(going()).toBe(false);
});
test('a page that comes at once is never told to be on its way', () => {
  status.pending = true;
  const page = render(<Link href="/shelf">Thread shelf</Link>);
  act(() => jest.advanceTimersByTime(100));
  status.pending = false;
  page.rerender(<Link href="/shelf">Thread shelf!</Link>);
  act(() => jest.advanceTimersByTime(1000));
  expect(going()).toBe(false);
});
