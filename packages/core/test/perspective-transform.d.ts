declare module 'perspective-transform' {
  /** Four places and where they go to, as flat lists of x and y. */
  export default function PerspectiveTransform(
    from: number[],
    to: number[],
  ): { transform: (x: number, y: number) => number[] };
}
