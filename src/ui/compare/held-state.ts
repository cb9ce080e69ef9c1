import type { Project } from '../../project/schema';
import type { ResultsState } from '../state/results-store';

/** A state of the project that is held beside the present one: A beside B. Its meshes are those that were worked out then. */
export interface HeldState {
  readonly project: Project;
  readonly results: ResultsState['results'];
  /** When it was held, milliseconds. */
  readonly at: number;
  /** Which of the two is seen, or both with an edge between them. */
  readonly seen: 'A' | 'B' | 'both';
  /** Of the view's width: where the edge is, A to its left. */
  readonly edge: number;
}
