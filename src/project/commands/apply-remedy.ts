import { bumpPath } from '../../core/edit/bump-path';
import { roundBend } from '../../core/edit/round-bend';
import type { Remedy } from '../../core/findings/finding';
import { assertNever } from '../../core/math/assert-never';
import { maker, type MakerSpec } from '../../core/segment/registry';
import { courseOf, type Project } from '../schema';
import { changeCurve, setNumber, setPoint } from './paths';
import { switchRule } from '../../core/layout/registry';
import { setLaying, setRule, setStep } from './runs';
import { bumped } from '../../core/shape/edit-lane';
import { editLane } from './lanes';
import { setMaker, setPrepare } from './segments';

/** Puts a finding of a run right; undefined when the remedy could not get there (the project then stays as it is). */
export function applyRemedy(project: Project, runId: string, remedy: Remedy, course?: string): Project | undefined {
  const run = project.runs.find(({ id }) => id === runId);
  if (!run) return undefined;
  const at = { run: runId, course };
  const own = courseOf(run, course);
  switch (remedy.kind) {
    case 'setLayingRule':
      return setLaying(project, at, { rule: switchRule(own.laying.rule, remedy.rule) });
    case 'sliceAsNeeded':
      return setStep(project, runId, 'bending', { slicing: { by: 'auto' } });
    case 'shareSlack':
      return own.laying.rule.kind === 'pinToPin'
        ? setRule(project, at, { ...own.laying.rule, slack: 'shared' })
        : undefined;
    case 'partAtCorners':
      return setLaying(project, at, { joints: { ...own.laying.joints, at: 'corners' } });
    case 'setToothPitch':
      return setNumber(project, run.path, 'pitch', remedy.metres);
    case 'setTolerance':
      return setStep(project, runId, 'bending', { tolerance: Math.min(remedy.metres, 10) });
    case 'setFrameRule':
      return setStep(project, runId, 'shape', { frames: { ...run.shape.frames, rule: remedy.rule } });
    case 'setSegmentLength': {
      const segment = project.segments.find(({ id }) => id === own.segment);
      if (segment?.source.from !== 'maker' || !('length' in segment.source.spec)) return undefined;
      const { schema } = maker(segment.source.spec.kind);
      const read = schema.safeParse({ ...segment.source.spec, length: remedy.metres });
      return read.success ? setMaker(project, segment.id, read.data as MakerSpec) : undefined;
    }
    case 'prepare':
      return setPrepare(project, own.segment, remedy.change);
    case 'setPointRadius':
      return setPoint(project, run.path, remedy.point, { radius: remedy.radius });
    case 'roundBend': {
      const changed = changeCurve(
        project,
        run.path,
        (curve) => roundBend(curve, remedy.station, remedy.radius) ?? curve,
      );
      return changed === project ? undefined : changed;
    }
    case 'moveAside':
      return (['offsetUp', 'offsetSide'] as const).reduce(
        (made, name) =>
          editLane(made, runId, name, (lane) => bumped(lane, 0, remedy[name === 'offsetUp' ? 'up' : 'side'], remedy)),
        project,
      );
    case 'movePath': {
      const { station, over, by } = remedy;
      const moved = changeCurve(project, run.path, (curve) => bumpPath(curve, station, over, by) ?? curve);
      return moved === project ? undefined : moved;
    }
    case 'setGauge':
      return editLane(project, runId, remedy.which === 'side' ? 'gaugeSide' : 'gauge', (lane) =>
        bumped(lane, 1, remedy.gauge, remedy),
      );
    case 'pushOut':
      return undefined; // needs the guide's surface: the worker does it
    default:
      return assertNever(remedy);
  }
}
