import type { LaneSpec } from '../core/shape/lane-spec';
import { buildShape } from '../core/shape/shape';
import { evenedRoll, twistFigures, type TwistFigures } from '../core/shape/twist-evenness';
import { ok, type Result } from '../core/math/result';
import type { Deriver } from './derive';
import type { RunSource } from './run-source';

/** The keyed roll with which a run twists evenly, and how evenly it twists without and with it. */
export interface EvenTwist {
  readonly roll: LaneSpec;
  readonly before: TwistFigures;
  readonly after: TwistFigures;
}

/** Problems: those of the run. */
export async function evenTwist(deriver: Deriver, source: RunSource): Promise<Result<EvenTwist>> {
  const derived = await deriver.derive(source);
  if (!derived.ok) return derived;
  const { table, courses } = derived.value;
  const { shape: said } = source.steps;
  const input = { reach: courses[0].shape.reach, points: source.curve.points };
  const before = buildShape(table, said, input);
  const roll = evenedRoll(before, said.lanes?.roll);
  const after = buildShape(table, { ...said, lanes: { ...said.lanes, roll } }, input);
  return ok({ roll, before: twistFigures(before), after: twistFigures(after) });
}
