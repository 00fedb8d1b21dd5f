/** What a CSV file of the studio can carry. */
export type ExchangeKind = 'threads' | 'battings' | 'fabrics' | 'needles';
export const EXCHANGE_KINDS: readonly ExchangeKind[] = ['threads', 'battings', 'fabrics', 'needles'];

/** One column: its name in our own files, and what others may call it. */
export interface Column {
  id: string;
  label: string;
  also: readonly string[];
  required?: boolean;
}

const column = (id: string, label: string, also: readonly string[] = [], required = false): Column => ({
  id,
  label,
  also,
  required,
});

export const COLUMNS: Record<ExchangeKind, readonly Column[]> = {
  threads: [
    column('line', 'Line', ['thread line', 'product', 'brand line', 'range', 'thread', 'name'], true),
    column('colour', 'Colour', ['color', 'colour name', 'color name', 'shade'], true),
    column('hex', 'Hex', ['hex colour', 'hex color', 'rgb', 'html']),
    column('fibre', 'Fibre', ['fiber', 'material', 'content', 'fibre content'], true),
    column('label', 'Label', ['size', 'weight', 'wt', 'label text', 'thickness', 'count']),
    column('tex', 'Tex', ['linear density', 'tex size']),
    column('role', 'Role', ['use', 'used as', 'top or bobbin']),
    column('remainingM', 'Metres left', ['remaining', 'left', 'metres', 'meters', 'remaining m', 'stock m']),
    column('fullG', 'Full net g', ['net g', 'net grams', 'net weight', 'grams']),
    column('fullM', 'Full length m', ['length', 'full length', 'length m', 'put-up']),
    column('tareG', 'Empty cone g', ['tare', 'cone weight', 'empty cone']),
    column('sheen', 'Sheen', ['finish', 'lustre', 'luster']),
    column('needleMinNm', 'Needle from Nm', ['needle min', 'needle from', 'min needle']),
    column('needleMaxNm', 'Needle to Nm', ['needle max', 'needle to', 'max needle']),
    column('place', 'Place', ['where', 'location', 'shelf', 'bin', 'drawer']),
    column('price', 'Price', ['cost', 'price per cone']),
    column('notes', 'Notes', ['note', 'remarks', 'comment', 'comments']),
  ],
  battings: [
    column('name', 'Name', ['batting', 'wadding', 'product'], true),
    column('kind', 'Kind', ['type', 'fibre', 'fiber', 'material'], true),
    column('loftMm', 'Loft mm', ['loft', 'thickness', 'height']),
    column('maxGapIn', 'Widest gap in', [
      'gap',
      'quilt up to',
      'max gap',
      'quilting distance',
      'stitch distance',
    ]),
    column('ratingText', 'Rating as printed', ['rating', 'label', 'printed rating']),
    column('shrinkPct', 'Shrinkage %', ['shrinkage', 'shrink']),
    column('notes', 'Notes', ['note', 'remarks', 'comment', 'comments']),
  ],
  fabrics: [
    column('name', 'Name', ['fabric', 'cloth', 'product'], true),
    column('kind', 'Kind', ['type', 'weave', 'material', 'fibre', 'fiber'], true),
    column('hex', 'Hex', ['hex colour', 'hex color', 'rgb', 'html']),
    column('notes', 'Notes', ['note', 'remarks', 'comment', 'comments']),
  ],
  needles: [
    column('nm', 'Size Nm', ['nm', 'size', 'metric size', 'needle size'], true),
    column('eye', 'Eye', ['eye size']),
    column('point', 'Point', ['point type', 'tip']),
    column('coated', 'Coated', ['coating', 'finish']),
    column('stock', 'Stock', ['count', 'number', 'pieces', 'quantity', 'qty'], true),
  ],
};

const plain = (text: string) =>
  text
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9%]+/g, ' ')
    .trim();

/** Column id by position in the file; null for a column that is left out. */
export type Mapping = (string | null)[];

/** Guesses which column is which: our own names first, then what others call them; each is used once. */
export function guessMapping(kind: ExchangeKind, header: readonly string[]): Mapping {
  const taken = new Set<string>();
  const names = header.map(plain);
  const mapping: Mapping = header.map(() => null);
  const take = (fits: (name: string, c: Column) => boolean) =>
    names.forEach((name, i) => {
      if (mapping[i] !== null || !name) return;
      const found = COLUMNS[kind].find((c) => !taken.has(c.id) && fits(name, c));
      if (found) {
        mapping[i] = found.id;
        taken.add(found.id);
      }
    });
  take((name, c) => name === plain(c.label) || name === plain(c.id));
  take((name, c) => c.also.some((a) => plain(a) === name));
  take((name, c) => [c.label, ...c.also].some((a) => plain(a).length > 3 && name.includes(plain(a))));
  return mapping;
}

/** Columns that must be mapped and are not. */
export const missingColumns = (kind: ExchangeKind, mapping: Mapping): Column[] =>
  COLUMNS[kind].filter((c) => c.required && !mapping.includes(c.id));
