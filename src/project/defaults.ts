import type { CourseJob } from '../core/layout/course-spec';
import { MOTION_DEFAULTS } from '../core/motion/motion-spec';
import type { RunSteps } from '../core/motion/run-spec';
import { LAYING_DEFAULTS } from '../core/layout/laying-spec';
import type { FinishSpec, PlainFinish } from '../core/segment/finish/finish-spec';
import { maker, type MakerName, type MakerSpec } from '../core/segment/registry';
import { PREPARE_DEFAULTS, type PrepareSpec } from '../core/segment/segment-spec';
import type { Course } from './schema';

/** How a new run lies, is bent and moves. */
export const JOB_DEFAULTS: RunSteps = {
  reach: { from: null, to: null },
  shape: { frames: { rule: 'upright', up: [0, 1, 0] }, roll: 0, turns: 0, gauge: 1 },
  bending: { pastEnd: 'straightOn', slicing: { by: 'auto' }, tolerance: null },
  motion: { ...MOTION_DEFAULTS, growth: { kind: 'stretchOut', seconds: 4 } },
};

/** How a new course is laid. */
export const COURSE_DEFAULTS: CourseJob = {
  laying: { rule: { kind: 'fillStretch', gap: 0 }, ...LAYING_DEFAULTS },
  fit: { kind: 'bent' },
  align: { side: 'own', height: 'own' },
  mirrored: false,
  side: 0,
  height: 0,
};

/** The one course that a new run has. */
export const newCourse = (segment: string, change: Partial<CourseJob> = {}): Course => ({
  id: 'main',
  visible: true,
  locked: false,
  segment,
  others: [],
  ...COURSE_DEFAULTS,
  ...change,
});

/** Made segments lie along +x already. */
export const MADE_PREPARE: PrepareSpec = { ...PREPARE_DEFAULTS, forward: '+x', up: '+y' };

export const makerDefaults = (kind: MakerName): MakerSpec => maker(kind).defaults as MakerSpec;

/** A part without a texture, as a colour picker finds it. */
/** How what has no parts looks where only its colour is said. */
export const PLAIN_FINISH: PlainFinish = {
  colour: '#b3aa98',
  roughness: 0.9,
  metalness: 0,
  bump: 1,
  texture: null,
  repeat: 1.5,
};

export const FINISH_DEFAULTS: Omit<FinishSpec, 'part'> = {
  colour: '#b0a58f',
  roughness: 0.9,
  metalness: 0,
  bump: 1,
  texture: null,
  repeat: 1,
  turn: 0,
  shiftAlong: 0,
  shiftRound: 0,
  fit: 'whole',
};
