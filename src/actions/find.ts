import { RULER_SHAPE_LABEL, type RulerShape } from '@/core/fields/lists';
import { PREFERENCES } from '@/core/fields/preferences';
import { battings } from '@/core/tables/battings';
import { fabrics } from '@/core/tables/fabrics';
import { fibres } from '@/core/tables/fibres';
import { DRILLS } from '@/core/practice/drills';
import { GLOSSARY } from '@/core/tables/glossary';
import { signNames, signs } from '@/core/tables/symptoms';
import { findByWord } from '@/core/words/find-by-word';
import { find as findStored } from '@/data/find';
import type { Sql } from '@/data/sql';
import type { Found } from '@/data/types';

/** Fewer letters than this find too much of what ships with the program. */
const LEAST_LETTERS = 3;
const first = (text: string) => text.split('. ')[0]!;

/** What ships with the program: faults and flaws by any name, words of the trade, settings. */
function findShipped(letters: string, each: number): Found[] {
  if (letters.trim().length < LEAST_LETTERS) return [];
  const found = (kind: Found['kind'], id: string, name: string, detail: string): Found => ({
    kind,
    id,
    name,
    detail,
    hex: null,
  });
  return [
    ...findByWord(letters, signs.rows, signNames)
      .slice(0, each)
      .map((s) => found('sign', s.id, s.label, first(s.description))),
    ...findByWord(letters, GLOSSARY, (t) => [t.term, ...t.also])
      .slice(0, each)
      .map((t) => found('term', t.term, t.term, first(t.means))),
    ...findByWord(letters, DRILLS.rows, (d) => [d.label, 'drill', 'practice'])
      .slice(0, each)
      .map((d) => found('drill', d.id, d.label, first(d.does))),
    ...findByWord(letters, PREFERENCES, (f) => [f.label])
      .slice(0, each)
      .map((f) => found('setting', f.id, f.label, 'How we work')),
  ];
}

/** Ids of tables as a person reads them. */
function named(f: Found): Found {
  const detail = () => {
    switch (f.kind) {
      case 'fabric':
        return fabrics.find(f.detail)?.label;
      case 'batting':
        return battings.find(f.detail)?.label;
      case 'ruler':
        return RULER_SHAPE_LABEL[f.detail as RulerShape];
      case 'cone': {
        const [fibre, ...label] = f.detail.split(', ');
        return [fibres.find(fibre!)?.label ?? fibre, ...label].filter(Boolean).join(', ');
      }
      default:
        return undefined;
    }
  };
  return { ...f, detail: detail() ?? f.detail };
}

/** Whatever goes by these letters: what the studio keeps, then what ships with the program. */
export async function find(sql: Sql, letters: string, each: number): Promise<Found[]> {
  return [...(await findStored(sql, letters, each)).map(named), ...findShipped(letters, each)];
}
