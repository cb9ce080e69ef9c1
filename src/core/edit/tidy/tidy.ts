import type { CurveSpec } from '../../curve/registry';

/** Something done to all points of a path at once; adding one is a file here and a line in the list. */
export interface Tidy {
  readonly label: string;
  /** One line that says what it does. */
  readonly hint: string;
  /** It asks for a tolerance in metres; this much of the path's size to begin with. */
  readonly tolerance?: number;
  /** The same path where there is nothing to do. */
  apply(spec: CurveSpec, tolerance?: number): CurveSpec;
}
