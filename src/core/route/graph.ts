import type { XY } from '../geometry/polygon';

/** A graph of places and the lines between them. */
export interface Graph {
  points: XY[];
  edges: { u: number; v: number; lengthIn: number }[];
}

/** The edges at each place. */
export function besideOf({ edges }: Pick<Graph, 'edges'>): ReadonlyMap<number, number[]> {
  const beside = new Map<number, number[]>();
  edges.forEach(({ u, v }, i) => {
    for (const node of [u, v]) {
      const list = beside.get(node);
      if (list) list.push(i);
      else beside.set(node, [i]);
    }
  });
  return beside;
}
