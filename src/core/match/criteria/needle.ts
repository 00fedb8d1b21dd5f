import { KEEPS_HOLES } from '../../needle/perforation';
import { holeMemory } from '../../sandwich/sandwich';
import type { CriterionOf, TopContext } from './criterion';

/** What every blade marks on plain cotton; only more than that is said. */
const MARKS = 0.35;
const OTHER_POINT = 0.3;

/** The thread in the needle's eye: roomy is half the fault that tight is. Its sentences are the needle's own. */
export const eye: CriterionOf<TopContext> = {
  id: 'eye',
  label: 'Eye',
  weight: 1,
  cost: ({ needle }) => needle.size.parts.eye,
};

export const flex: CriterionOf<TopContext> = {
  id: 'flex',
  label: 'Needle bend',
  weight: 1,
  cost: ({ needle }) => needle.size.parts.flex,
};

export const holes: CriterionOf<TopContext> = {
  id: 'holes',
  label: 'Needle holes',
  weight: 1,
  cost: ({ needle }) => needle.size.parts.holes,
};

/** What of the needle has no criterion of its own: marks, the maker's note, the point in the drawer. */
export const blade: CriterionOf<TopContext> = {
  id: 'needle',
  label: 'Blade and point',
  weight: 0.5,
  cost({ needle }) {
    const { eye: e, flex: f, holes: h } = needle.size.parts;
    return Math.max(0, needle.size.penalty - e - f - h) + (needle.wantedPoint ? OTHER_POINT : 0);
  },
  say({ needle, facts }, penalty) {
    if (needle.wantedPoint)
      return {
        caution: {
          code: 'point-differs',
          severity: 'note',
          text: `The fabric asks for a ${needle.wantedPoint} point; the drawer has ${needle.point} in Nm ${needle.nm}.`,
          act: `Buy Nm ${needle.nm} ${needle.wantedPoint}.`,
        },
      };
    const keeps = holeMemory(facts.zone.top.map((f) => f.fabric)) >= KEEPS_HOLES;
    const bends = needle.choice.cautions.some((c) => c.code === 'flex-high');
    return keeps && !bends && penalty > MARKS
      ? {
          reason: {
            code: 'blade-marks',
            text: `A blade of ${(needle.nm / 100).toFixed(2)} mm leaves a mark of its own; a thinner one less.`,
          },
        }
      : {};
  },
};

/** Minutes of a needle change against a penalty, 0.1 a minute. */
const CHANGE = 0.2;
/** A needle that no other zone of the quilt takes is one more change. */
export const needleChange: CriterionOf<TopContext> = {
  id: 'needle-change',
  label: 'Needle change',
  weight: 1,
  cost({ needle, others }) {
    const known = others?.filter((o) => o.needleNm !== undefined) ?? [];
    return known.length > 0 && !known.some((o) => o.needleNm === needle.nm) ? CHANGE : 0;
  },
  say: ({ needle }, penalty) =>
    penalty > 0
      ? {
          reason: {
            code: 'needle-change',
            text: `Nm ${needle.nm} is in no other zone: one more needle change.`,
          },
        }
      : {},
};
