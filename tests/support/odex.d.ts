/** An initial value problem run by extrapolation, with dense output between its steps: the part of the package odex that is used here. */
export class Solver {
  constructor(n: number);
  denseOutput: boolean;
  absoluteTolerance: number | number[];
  relativeTolerance: number | number[];
  initialStepSize: number;
  solve(
    changes: (x: number, y: number[]) => number[],
    x: number,
    y: number[],
    end: number,
    out?: (nth: number, from: number, to: number, y: number[], dense?: (component: number, x: number) => number) => boolean | void,
  ): { y: number[]; /** 0 when it came to the end */ outcome: number };
}
