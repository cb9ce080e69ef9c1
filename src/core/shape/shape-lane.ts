import type { Lane, LaneName } from './lane';

/** One thing that is said of a run along its length. */
export interface ShapeLane extends Lane {
  readonly name: LaneName;
  /** Whether it goes with the run when that moves, or stays with the path. */
  readonly goesWith: 'run' | 'path';
}

export const laneOfRun = (name: LaneName, lane: Lane): ShapeLane => ({ ...lane, name, goesWith: 'run' });
export const laneOfPath = (name: LaneName, lane: Lane): ShapeLane => ({ ...lane, name, goesWith: 'path' });
