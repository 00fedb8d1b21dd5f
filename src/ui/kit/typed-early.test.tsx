import { act } from '@testing-library/react';
import { useState } from 'react';
import { hydrateRoot } from 'react-dom/client';
import { renderToString } from 'react-dom/server';
import { TextArea, TextField } from './Field';

function Form({ onSeen }: { onSeen: (all: Record<string, string>) => void }) {
  const [all, setAll] = useState({ name: '', words: 'as kept' });
  onSeen(all);
  const set = (part: object) => setAll((now) => ({ ...now, ...part }));
  return (
    <>
      <TextField id="name" label="Name" value={all.name} onChange={(e) => set({ name: e.target.value })} />
      <TextArea id="words" label="Words" value={all.words} onChange={(e) => set({ words: e.target.value })} />
    </>
  );
}

async function wakened(typed: Record<string, string>) {
  const seen: Record<string, string>[] = [];
  const page = document.createElement('div');
  document.body.append(page);
  page.innerHTML = renderToString(<Form onSeen={() => {}} />);
  for (const [id, value] of Object.entries(typed))
    page.querySelector<HTMLInputElement>(`#${id}`)!.value = value;
  await act(() => {
    hydrateRoot(page, <Form onSeen={(all) => seen.push(all)} />);
    return Promise.resolve();
  });
  page.remove();
  return { now: seen.at(-1)!, page };
}

test('what was typed before the page’s program came is taken over, in every box', async () => {
  const { now, page } = await wakened({ name: 'Ebb', words: 'typed early' });
  expect(now).toEqual({ name: 'Ebb', words: 'typed early' });
  expect(page.querySelector<HTMLInputElement>('#name')!.value).toBe('Ebb');
});
test('a page nobody typed into wakes as it was', async () => {
  const { now } = await wakened({});
  expect(now).toEqual({ name: '', words: 'as kept' });
});
