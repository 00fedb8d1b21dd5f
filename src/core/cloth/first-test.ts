import { safety } from '../cautions/cautions';
import type { Caution } from '../notes';
import { type Fabric, fabrics } from '../tables/fabrics';

/** A test that tells the nearest kinds apart, or shows the worst of them before it is on the quilt. */
export interface FirstTest {
  code: 'holes' | 'stretch' | 'firm';
  what: string;
  steps: string[];
  /** What each outcome means: which kinds it leaves. */
  tells: { outcome: string; kinds: string[] }[];
  cautions: Caution[];
}

const range = (values: readonly number[]) => Math.max(...values) - Math.min(...values);

/**
 * The one test to sew first on a cloth nobody knows: of holes, stretch and firmness the one in which the nearest
 * kinds differ most; where they agree, the one that shows the worst they have in common. At least one kind.
 */
export function firstTest(kinds: readonly string[], needleNm: number): FirstTest {
  const rows = kinds.map((id) => fabrics.get(id, 'kinds'));
  const holes = rows.map((r) => r.keepsHoles);
  const stretch = rows.map((r) => r.stretch);
  const firm = rows.map((r) => Math.log(r.firmness));
  // Spread first; the worst value breaks the tie, so that the harm is tried where there is nothing to tell apart.
  const value = {
    holes: range(holes) / 3 + 0.15 * (Math.max(...holes) / 3),
    stretch: range(stretch) / 3 + 0.14 * (Math.max(...stretch) / 3),
    firm: range(firm) + 0.05 * Math.max(0, ...firm),
  };
  const code = (Object.keys(value) as (keyof typeof value)[]).reduce((a, b) => (value[b] > value[a] ? b : a));
  return TESTS[code](rows, needleNm);
}

type Rows = readonly Fabric[];
const kindsOf = (rows: Rows, keep: (r: Fabric) => boolean) => rows.filter(keep).map((r) => r.id);
// A needle is changed or its point felt in each of them.
const MIND = [safety('power-off-service', 'note')];

const TESTS: Record<FirstTest['code'], (rows: Rows, needleNm: number) => FirstTest> = {
  holes: (rows, needleNm) => ({
    code: 'holes',
    cautions: MIND,
    what: 'Does it keep needle holes?',
    steps: [
      `On a hidden edge sew two inches without thread, needle Nm ${needleNm}.`,
      'Stroke the line with a fingernail, then with a damp finger, and wait a minute.',
      'Hold it against the light.',
    ],
    tells: [
      { outcome: 'The holes close', kinds: kindsOf(rows, (r) => r.keepsHoles < 2) },
      {
        outcome: 'The holes stay: never unpick here, few stitches, thin needle',
        kinds: kindsOf(rows, (r) => r.keepsHoles >= 2),
      },
    ],
  }),
  stretch: (rows) => ({
    code: 'stretch',
    cautions: MIND,
    what: 'Does it give under the stitches?',
    steps: [
      'Sew four inches across the stretch in the sandwich, and four along it.',
      'Take it off the frame and let it lie.',
    ],
    tells: [
      { outcome: 'It lies flat', kinds: kindsOf(rows, (r) => r.stretch < 2) },
      {
        outcome: 'It tunnels or waves: light ball point, stabilise it first',
        kinds: kindsOf(rows, (r) => r.stretch >= 2),
      },
    ],
  }),
  firm: (rows, needleNm) => ({
    code: 'firm',
    cautions: MIND,
    what: 'Does it push the needle aside?',
    steps: [
      `Sew six inches at your usual speed to the left and six to the right, needle Nm ${needleNm}.`,
      'Compare the stitches of both directions, and feel the point for a burr.',
    ],
    tells: [
      { outcome: 'Both directions alike', kinds: kindsOf(rows, (r) => r.firmness < 1.2) },
      {
        outcome: 'Skips one way: larger needle, slower hands',
        kinds: kindsOf(rows, (r) => r.firmness >= 1.2),
      },
    ],
  }),
};
