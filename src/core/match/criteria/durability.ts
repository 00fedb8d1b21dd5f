import { type CriterionOf, type TopContext } from './criterion';

/** Area fills of a quilt that is washed and tumbled want thread of at least this, tex. */
const WANTED_TEX = 16;
/** Each halving below costs this; a monofilament over an area costs so much besides (judgement). */
const PER_HALVING = 0.6;
const MONO = 1;

const halvings = (tex: number) => Math.max(0, Math.log2(WANTED_TEX / tex));

/** What washing and tumbling ask of a thread that fills an area; nothing of lines along seams, nor on a wall. */
export const durability: CriterionOf<TopContext> = {
  id: 'durability',
  label: 'Wear',
  weight: 1,
  cost({ facts, technique, thread, fibre }) {
    if (!technique.area || facts.wear === 0) return 0;
    return facts.wear * (PER_HALVING * halvings(thread.tex) + (fibre.mono ? MONO : 0));
  },
  say({ facts, fibre, thread }, penalty) {
    if (penalty <= 0.1) return {};
    const use =
      facts.zone.use === 'baby'
        ? 'a baby’s quilt'
        : facts.zone.use === 'garment'
          ? 'a garment'
          : 'a quilt in use';
    return fibre.mono
      ? {
          caution: {
            code: 'mono-over-area',
            severity: 'note',
            text: `Clear thread over a whole area of ${use} wears and works loose in the wash.`,
            act: 'Keep it for ditches and outlines.',
          },
        }
      : {
          reason: {
            code: 'fine-wears',
            text: `Tex ${Number(thread.tex.toFixed(0))} is fine for ${use} that is washed and tumbled.`,
          },
        };
  },
};
