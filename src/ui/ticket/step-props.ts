import type { Path, Run, Segment } from '../../project/schema';
import type { RunResult } from '../state/results-store';

/** What every step's controls get. */
export interface StepProps {
  readonly run: Run;
  readonly segment: Segment;
  readonly path: Path;
  readonly result: RunResult | undefined;
}
