declare module 'edmonds-blossom' {
  /** Maximum-weight matching; the partner of each node, −1 for none. */
  export default function blossom(edges: [number, number, number][], maxCardinality?: boolean): number[];
}
