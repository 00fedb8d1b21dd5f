import { safety } from '../../cautions/cautions';
import type { CriterionOf, TopContext } from './criterion';

/** Lines along seams through many colours, where a line should vanish: a clear thread is at home there. */
const vanishes = ({ facts, technique }: TopContext) =>
  !technique.area && facts.zone.visibility === 'sink' && facts.colours >= 3;

/** How the thread runs in the machine. */
export const running: CriterionOf<TopContext> = {
  id: 'fuss',
  label: 'Running',
  weight: 1,
  cost: (c) => (c.fibre.running && !(c.fibre.mono && vanishes(c)) ? c.fibre.running.cost : 0),
  say({ fibre: { running: r } }) {
    if (!r) return {};
    const { code, text, act } = r;
    return r.mind ? { caution: { code, severity: 'note', text, act } } : { reason: { code, text } };
  },
};

export const child: CriterionOf<TopContext> = {
  id: 'child',
  label: 'A child’s quilt',
  weight: 8,
  cost: ({ facts, fibre }) => (fibre.mono && facts.zone.use === 'baby' ? 1 : 0),
  say: (_, penalty) => (penalty > 0 ? { caution: safety('monofilament-child', 'stop') } : {}),
};

const IRONED = 0.25;
export const ironing: CriterionOf<TopContext> = {
  id: 'iron',
  label: 'Ironing',
  weight: 1,
  cost: (c) => (c.fibre.softensHot && c.facts.wear > 0 && !vanishes(c) ? IRONED : 0),
  say: ({ fibre }) => (fibre.softensHot ? { caution: safety('monofilament-iron', 'note') } : {}),
};

/** What washing does to the thread itself. */
export const washing: CriterionOf<TopContext> = {
  id: 'washing',
  label: 'Washing',
  weight: 0.6,
  cost: ({ facts, fibre }) => fibre.washRisk * facts.wear,
  say: ({ fibre }, penalty) =>
    penalty > 0.04
      ? {
          caution: {
            code: 'wash-care',
            severity: 'note',
            text: `This quilt will be washed. ${fibre.note}`,
            act: 'Write it on the care sheet.',
          },
        }
      : {},
};

export const lasting: CriterionOf<TopContext> = {
  id: 'soluble',
  label: 'Lasting',
  weight: 8,
  cost: ({ fibre, technique }) => (fibre.dissolves && technique.stabilises !== 'always' ? 1 : 0),
  say: (_, penalty) =>
    penalty > 0
      ? {
          caution: { code: 'washes-out', severity: 'stop', text: 'Dissolves in the wash: for basting only.' },
        }
      : {},
};

const PER_LEVEL = 0.05;
export const lint: CriterionOf<TopContext> = {
  id: 'lint',
  label: 'Lint',
  weight: 1,
  cost: ({ fibre }) => PER_LEVEL * fibre.lint,
  say: ({ fibre }) =>
    fibre.lint >= 2
      ? { reason: { code: 'lint', text: 'Sheds lint.', act: 'Brush the hook at every bobbin.' } }
      : {},
};
