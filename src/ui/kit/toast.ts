import type { ExternalToast } from 'sonner';
import { patiently } from './patiently';

/** A short word that something was done, in the corner of the page; what draws it comes with the first one. */
export const toast = (words: string, more?: ExternalToast): void =>
  void patiently(() => import('sonner')).then((m) => m.toast(words, more));
