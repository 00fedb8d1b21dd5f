import { type CriterionOf, over, type TopContext } from './criterion';

/** Thread lying this thick in a line that is sewn over begins to look like rope, mm. */
const ROPE_MM = 0.45;
const SPAN_MM = 0.1;
/** What piles up below that is felt a little, and nothing is said of it. */
const [FELT_MM, FELT] = [0.25, 0.15] as const;
/** A technique that sews so much twice shows it in full. */
const ALL_OF_IT = 0.3;

const builtMm = (backtrack: number, threadMm: number) => (1 + backtrack) * threadMm;

/** What is sewn over builds up; retracing that was asked for is a wish, and thread painting is meant to pile up. */
export const buildUp: CriterionOf<TopContext> = {
  id: 'build-up',
  label: 'Sewn twice',
  weight: 1,
  cost({ facts, technique, threadMm }) {
    if (technique.pilesUp || facts.retraced !== undefined) return 0;
    return (
      Math.min(1, technique.backtrack / ALL_OF_IT) *
      (over(builtMm(technique.backtrack, threadMm), ROPE_MM, SPAN_MM) +
        FELT * over(builtMm(technique.backtrack, threadMm), FELT_MM, SPAN_MM))
    );
  },
  say({ facts, technique, threadMm }, penalty) {
    const share = Math.round(technique.backtrack * 100);
    if (facts.retraced !== undefined && facts.retraced > 1)
      return {
        reason: {
          code: 'retraced',
          text: `Sewn ${facts.retraced} times over, the line builds to about ${(facts.retraced * threadMm).toFixed(1)} mm.`,
        },
      };
    if (technique.pilesUp) return {};
    if (builtMm(technique.backtrack, threadMm) >= ROPE_MM)
      return {
        caution: {
          code: 'thread-builds-up',
          severity: 'note',
          text: `${share} % of ${technique.label} is sewn over twice: at ${threadMm.toFixed(2)} mm the line turns ropey.`,
        },
      };
    return technique.backtrack >= 0.3 && penalty < 0.1
      ? {
          reason: {
            code: 'backtrack-forgiven',
            text: `Fine enough to sew over: the ${share} % sewn twice will not build up.`,
          },
        }
      : {};
  },
};
