declare module 'polylabel' {
  /** The point of a polygon farthest from its edges, to a precision; with its distance. */
  export default function polylabel(
    polygon: readonly (readonly (readonly [number, number])[])[],
    precision?: number,
  ): [number, number] & { distance: number };
}
