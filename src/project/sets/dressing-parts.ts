import type { Box } from '../../core/mesh/box';
import { strewn } from '../../core/layout/fits/strewn';
import type { FitSpec } from '../../core/layout/fit-registry';
import { halfWidth } from '../../core/segment/prepared-segment';
import { maker, type MakerName, type MakerSpec } from '../../core/segment/registry';
import type { CourseJob } from '../../core/layout/course-spec';
import type { Dresses } from '../../core/segment/dresses';
import { COURSE_DEFAULTS, MADE_PREPARE, makerDefaults, newCourse } from '../defaults';
import type { Course, Segment } from '../schema';

/** How a thing dresses a run that was brought, and says nothing of it. */
const BROUGHT: Dresses = { by: { stations: 2 }, sits: 'above' };

/** Of a run that is so many times as wide as it is high, things stand near the right edge, so far from its middle to there. */
const [WIDE, TO_EDGE] = [4, 0.8];

/** What is dressed: the box of its section and how long it is, metres. */
export interface Ground {
  readonly box: Box;
  readonly length: number;
}

/** Of what is strewn no more lie on a run at first, so that a long one is not buried. */
const MOST_AT_FIRST = 3000;

/** A course that dresses a run. */
export function dressingCourse(
  id: string,
  segment: string,
  ground: Ground | undefined,
  dresses: Dresses = BROUGHT,
): Course {
  // prettier-ignore
  return { ...newCourse(segment, laidAs(dresses, ground)), id, dresses: true };
}

function laidAs({ by, sits }: Dresses, ground: Ground | undefined): Partial<CourseJob> {
  const box = ground?.box;
  if ('strewn' in by) {
    const area = ground ? ground.length * (ground.box.max[2] - ground.box.min[2]) : 0;
    const density = area > 0 ? Math.min(by.strewn, Number((MOST_AT_FIRST / area).toPrecision(2))) : by.strewn;
    return { fit: { ...(strewn.defaults as FitSpec), density, ...by.lies } as FitSpec };
  }
  const { laying } = COURSE_DEFAULTS;
  const rule = { kind: 'fillGaps', gap: by.stations } as const;
  const half = by.stations / 2;
  const isWide = box !== undefined && box.max[2] - box.min[2] > WIDE * (box.max[1] - box.min[1]);
  return {
    laying: { ...laying, rule, margins: { ...laying.margins, first: half, last: half } },
    fit: { kind: 'stiff', stands: sits === 'above' ? 'plumb' : 'square', byLeg: false },
    align: { side: 'middle', height: sits === 'above' ? 'surface' : sits === 'under' ? 'under' : 'own' },
    side: isWide && sits === 'above' ? Number((box.max[2] * TO_EDGE).toPrecision(3)) : 0,
  };
}

/** A made thing that dresses a run, and its course. */
export function madeDressing(
  kind: MakerName,
  ids: { readonly segment: string; readonly course: string },
  ground: Ground | undefined,
) {
  const { label, dresses } = maker(kind);
  const spec = (ground && dresses?.fitTo?.(makerDefaults(kind), halfWidth(ground.box))) ?? makerDefaults(kind);
  const segment: Segment = {
    ...{ id: ids.segment, name: label, source: { from: 'maker', spec: spec as MakerSpec } },
    ...{ prepare: MADE_PREPARE, finishes: [] },
  };
  return { segment, course: dressingCourse(ids.course, ids.segment, ground, dresses) };
}
