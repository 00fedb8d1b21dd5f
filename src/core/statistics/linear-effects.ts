import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/** One observation: y = Σ weight·effect + noise of a known sd. */
export interface Observation {
  y: number;
  /** Standard deviation of its noise, above 0. */
  sd: number;
  loads: readonly (readonly [effect: string, weight: number])[];
  /** Observations of one group share an effect of their own. */
  group?: string;
  /** Never left out as an outlier: a person has put it back. */
  kept?: boolean;
  /** Left out by a person. */
  dropped?: boolean;
}

export interface EffectsModel {
  /** Prior standard deviation of an effect, about 0. */
  priorSd: (effect: string) => number;
  /** Prior standard deviation of what is special to one group; left out: groups have nothing special. */
  groupSd?: number;
  /** Beyond so many standard deviations an observation is left out. */
  outlierSd?: number;
}

export interface Belief {
  mean: number;
  variance: number;
}

/** What a log says of the effects: exact for the linear model, with outliers left out. */
export interface EffectsFit {
  /** Effects seen, with mean and sd; those not seen stay at their prior. */
  effects: ReadonlyMap<string, { mean: number; sd: number; observations: number }>;
  /** Mean and variance of a sum of effects (and of what is special to a group), seen or not. */
  predict(loads: Observation['loads'], group?: string): Belief;
  covariance(a: string, b: string): number;
  mean(effect: string): number;
  /** Indices of observations left out: by a person, or because another cause is likelier. */
  leftOut: readonly number[];
  /** How far each observation lies from what all the others say of it, in sd; NaN for one left out by a person. */
  surprise: readonly number[];
  /** How many observations bear on any of these effects. */
  restsOn(loads: Observation['loads']): number;
}

export const OUTLIER_SD = 3.5;
const MOST_ROUNDS = 25;

interface Group {
  members: number[];
  /** Sum of the precisions of its observations; by it, the mean of what they say and of each of their loads. */
  precision: number;
  mean: number;
  loads: Map<string, number>;
  /** How loads and what is said vary within the group: weighted sums of products about the means. */
  scatter: { a: string; b: string; sum: number }[];
  pull: { effect: string; sum: number }[];
}

/**
 * Exact posterior of a linear Gaussian model (Bishop, Pattern Recognition §3.3): effects independent about 0, noise
 * known. Effects special to a group are integrated out in closed form, so that thousands of groups cost nothing.
 * Robust: what lies more than 3.5 sd from what the others say is left out, worst first, and taken back when it
 * agrees after all.
 */
export function fitEffects(observations: readonly Observation[], model: EffectsModel): EffectsFit {
  const limit = model.outlierSd ?? OUTLIER_SD;
  const byHand = new Set(observations.flatMap((o, i) => (o.dropped ? [i] : [])));
  let out = new Set(byHand);
  let fit = solve(observations, model, out);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const far = fit.surprise.map(Math.abs);
    const next = new Set(byHand);
    observations.forEach((o, i) => {
      if (!o.kept && !byHand.has(i) && out.has(i) && far[i]! > limit) next.add(i);
    });
    const inside = observations.flatMap((o, i) => (next.has(i) || o.kept ? [] : [i]));
    const worst = Math.max(0, ...inside.map((i) => far[i]!));
    if (worst > limit) for (const i of inside) if (far[i]! > Math.max(limit, 0.8 * worst)) next.add(i);
    if (next.size === out.size && [...next].every((i) => out.has(i))) break;
    out = next;
    fit = solve(observations, model, out);
  }
  return { ...fit, leftOut: [...out].sort((a, b) => a - b) };
}

/** The effects seen, by their place in the matrix, and how many observations bear on each. */
function seenEffects(groups: ReadonlyMap<string, Group>, observations: readonly Observation[]) {
  const index = new Map<string, number>();
  for (const g of groups.values())
    for (const effect of g.loads.keys()) if (!index.has(effect)) index.set(effect, index.size);
  const counts = new Array<number>(index.size).fill(0);
  for (const g of groups.values())
    for (const i of g.members) for (const [effect] of observations[i]!.loads) counts[index.get(effect)!]!++;
  return { index, counts, at: (effect: string) => index.get(effect) ?? -1 };
}
type Seen = ReturnType<typeof seenEffects>;

/** Precision matrix and pull of the normal equations, solved: means and covariances of the effects seen. */
function posterior(groups: ReadonlyMap<string, Group>, { index }: Seen, model: EffectsModel) {
  const n = index.size;
  const groupVar = (model.groupSd ?? 0) ** 2;
  const precision = Matrix.zeros(n, n);
  const pull = Matrix.zeros(n, 1);
  [...index.keys()].forEach((name, i) => precision.set(i, i, 1 / model.priorSd(name) ** 2));
  // Both halves are set from one sum: the matrix must be symmetric to the bit.
  const add = (i: number, j: number, more: number) => {
    const sum = precision.get(i, j) + more;
    precision.set(i, j, sum);
    precision.set(j, i, sum);
  };
  const draw = (i: number, more: number) => pull.set(i, 0, pull.get(i, 0) + more);
  for (const g of groups.values()) {
    // With its own effect integrated out, a group is one observation of its mean, and what varies within it.
    const weight = 1 / (groupVar + 1 / g.precision);
    for (const [a, wa] of g.loads) {
      const i = index.get(a)!;
      draw(i, weight * wa * g.mean);
      for (const [b, wb] of g.loads) if (index.get(b)! <= i) add(i, index.get(b)!, weight * wa * wb);
    }
    for (const { a, b, sum } of g.scatter)
      if (index.get(b)! <= index.get(a)!) add(index.get(a)!, index.get(b)!, sum);
    for (const { effect, sum } of g.pull) draw(index.get(effect)!, sum);
  }
  const cholesky = n > 0 ? new CholeskyDecomposition(precision) : null;
  return { means: cholesky?.solve(pull), cov: cholesky?.solve(Matrix.eye(n)) };
}

/** What the effects say together, of a sum of them and of one group. */
function predictions(
  groups: ReadonlyMap<string, Group>,
  groupVar: number,
  mean: EffectsFit['mean'],
  covariance: EffectsFit['covariance'],
): EffectsFit['predict'] {
  const sum = (loads: Iterable<readonly [string, number]>): Belief => {
    const list = [...loads];
    let m = 0;
    let variance = 0;
    for (const [a, wa] of list) {
      m += wa * mean(a);
      for (const [b, wb] of list) variance += wa * wb * covariance(a, b);
    }
    return { mean: m, variance };
  };
  return (loads, group) => {
    const g = group === undefined ? undefined : groups.get(group);
    if (!g || groupVar === 0) {
      const shared = sum(loads);
      return { mean: shared.mean, variance: shared.variance + groupVar };
    }
    const own = g.precision + 1 / groupVar;
    const k = g.precision / own;
    // What is its own is what the group said beyond its effects, drawn in by k.
    const rest = new Map(loads);
    for (const [effect, weight] of g.loads) rest.set(effect, (rest.get(effect) ?? 0) - k * weight);
    const shared = sum(rest);
    return { mean: shared.mean + k * g.mean, variance: shared.variance + 1 / own };
  };
}

function solve(
  observations: readonly Observation[],
  model: EffectsModel,
  out: ReadonlySet<number>,
): EffectsFit {
  const groups = groupsOf(observations, out);
  const seen = seenEffects(groups, observations);
  const { at, counts } = seen;
  const { means, cov } = posterior(groups, seen, model);
  const mean = (effect: string) => (at(effect) < 0 ? 0 : means!.get(at(effect), 0));
  const covariance = (a: string, b: string) => {
    const [i, j] = [at(a), at(b)];
    if (i >= 0 && j >= 0) return cov!.get(i, j);
    return a === b ? model.priorSd(a) ** 2 : 0;
  };
  const predict = predictions(groups, (model.groupSd ?? 0) ** 2, mean, covariance);
  const surprise = observations.map((o, i) => {
    if (o.dropped) return NaN;
    const belief = predict(o.loads, o.group ?? alone(i));
    // One that is left out is held against a fit that never saw it; one that is in, against all the others.
    return out.has(i)
      ? (o.y - belief.mean) / Math.sqrt(o.sd ** 2 + belief.variance)
      : (o.y - belief.mean) / Math.sqrt(Math.max(1e-12, o.sd ** 2 - belief.variance));
  });
  return {
    effects: new Map(
      [...seen.index].map(([name, i]) => [
        name,
        { mean: means!.get(i, 0), sd: Math.sqrt(cov!.get(i, i)), observations: counts[i]! },
      ]),
    ),
    predict,
    covariance,
    mean,
    leftOut: [],
    surprise,
    restsOn: (loads) => Math.max(0, ...loads.map(([effect]) => counts[at(effect)] ?? 0)),
  };
}

/** An observation without a group is one of its own. */
const alone = (i: number) => `\u0000${i}`;

function groupsOf(
  observations: readonly Observation[],
  out: ReadonlySet<number>,
): ReadonlyMap<string, Group> {
  const members = new Map<string, number[]>();
  observations.forEach((o, i) => {
    if (out.has(i)) return;
    const key = o.group ?? alone(i);
    const known = members.get(key);
    if (known) known.push(i);
    else members.set(key, [i]);
  });
  return new Map([...members].map(([key, list]) => [key, groupOf(observations, list)]));
}

function groupOf(observations: readonly Observation[], members: number[]): Group {
  const own = members.map((i) => ({ ...observations[i]!, p: 1 / observations[i]!.sd ** 2 }));
  const precision = own.reduce((sum, o) => sum + o.p, 0);
  const mean = own.reduce((sum, o) => sum + o.p * o.y, 0) / precision;
  const sums = new Map<string, number>();
  for (const o of own) for (const [effect, w] of o.loads) sums.set(effect, (sums.get(effect) ?? 0) + o.p * w);
  const loads = new Map([...sums].map(([effect, sum]) => [effect, sum / precision]));
  // Loads that are the same for all of a group, as nearly all are, vary by nothing.
  const varying = [...loads].filter(([effect, w]) =>
    own.some((o) => loadOf(o, effect) !== w && Math.abs(loadOf(o, effect) - w) > 1e-12),
  );
  const about = (o: Observation, [effect, w]: readonly [string, number]) => loadOf(o, effect) - w;
  const total = (of: (o: (typeof own)[number]) => number) => own.reduce((sum, o) => sum + o.p * of(o), 0);
  return {
    members,
    precision,
    mean,
    loads,
    scatter: varying.flatMap((a) =>
      varying.map((b) => ({ a: a[0], b: b[0], sum: total((o) => about(o, a) * about(o, b)) })),
    ),
    pull: varying.map((a) => ({ effect: a[0], sum: total((o) => about(o, a) * (o.y - mean)) })),
  };
}

const loadOf = (o: Observation, effect: string): number =>
  o.loads.find(([name]) => name === effect)?.[1] ?? 0;
