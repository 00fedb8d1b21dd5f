import { pack, unpack } from '@/ui/kit/pack';

/** A thread to choose from a list, by name. */
export interface NamedThread {
  id: string;
  name: string;
  role: 'top' | 'bobbin' | 'both';
}

/** Names as one text, since a studio may have thousands. */
export const packNames = (threads: readonly NamedThread[]): string =>
  pack(threads.map(({ id, name, role }) => [id, name, role]));

/** The threads of a packed text that serve as top, or as bobbin, thread. */
export const namesFor = (packed: string, not: 'top' | 'bobbin'): NamedThread[] =>
  unpack<[string, string, NamedThread['role']][]>(packed)
    .map(([id, name, role]) => ({ id, name, role }))
    .filter((t) => t.role !== not);
