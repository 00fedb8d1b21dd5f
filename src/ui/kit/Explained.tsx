import { termOf } from '@/core/tables/glossary';
import { Term } from './Term';

/** A label, explained where it is a word of the trade. */
export function Explained({ word }: { word: string }) {
  const known = termOf(word);
  return known ? <Term of={known.term}>{word}</Term> : <>{word}</>;
}
