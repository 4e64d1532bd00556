/** The part of fmin that tests use: a derivative-free minimiser. */
declare module 'fmin/index.js' {
  export function nelderMead(
    f: (p: number[]) => number,
    start: number[],
    options?: { maxIterations?: number; minErrorDelta?: number; minTolerance?: number },
  ): { x: number[]; fx: number }
}
