import type { Finding } from '../core/findings/registry';
import type { StiffStretch } from '../core/curve/stiffen-curve';
import type { FrameTable } from '../core/frames/frame-table';
import type { LaidCourse } from '../core/layout/lay-course';
import type { LayoutSummary } from '../core/layout/summary';
import type { Shape } from '../core/shape/shape';
import type { Course } from '../project/schema';
import type { CoursePieces } from './course-segments';
import type { PathEnd } from './meet-ends';
import type { ReadySegment } from './ready-segment';
import type { RunSource } from './run-source';

/** One course of a run, laid; nothing here hangs on the time. */
export interface DerivedCourse {
  readonly course: Course;
  /** The first segment of its body. */
  readonly ready: ReadySegment;
  readonly pieces: CoursePieces;
  /** The run's, as far to the side as the course lies. */
  readonly shape: Shape;
  readonly laid: LaidCourse;
  readonly summary: LayoutSummary;
  /** Metres: what the bend is to keep to. */
  readonly tolerance: number;
}

/** Everything about a run short of its bent vertices: at least one course. Nothing here hangs on the time. */
export interface DerivedRun {
  /** With the curve as high as the run lies. */
  readonly source: RunSource;
  readonly table: FrameTable;
  readonly courses: readonly DerivedCourse[];
  /** Where its path is straight because something of it is stiff, metres. */
  readonly stiff: readonly StiffStretch[];
  /** Ends that were to meet a guide and do not. */
  readonly unmet: readonly PathEnd[];
  /** Seconds until it begins to move. */
  readonly begins: number;
  /** Worked out when they are asked for. */
  readonly findings: () => readonly Finding[];
}
