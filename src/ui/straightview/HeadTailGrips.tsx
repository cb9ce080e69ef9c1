'use client';

import type { ScaleLinear } from 'd3-scale';
import { useState } from 'react';
import type { Placement } from '../../core/layout/placement';
import { setPrepare } from '../../project/commands/segments';
import type { Course, Segment } from '../../project/schema';
import { metres } from '../format';
import { useEdit, useGesture, useProject } from '../state/app-context';

export interface HeadTailGripsProps {
  readonly x: ScaleLinear<number, number>;
  readonly course: Course;
  readonly placements: readonly Placement[];
  /** Metres: the segment's natural length. */
  readonly natural: number;
  readonly top: number;
  readonly height: number;
}

/** Of a segment's length: what is left of the body, and of a head or tail, at the least. */
const LEAST = 0.02;

/** Where the head of a segment that is cut in three ends, and where its tail begins, to be dragged. */
export function HeadTailGrips({ x, course, placements, natural, top, height }: HeadTailGripsProps) {
  const segment = useProject((s) => s.project.segments.find(({ id }) => id === course.segment));
  if (!segment) return null;
  return (['head', 'tail'] as const).flatMap((end) => {
    const placement = course[end] === undefined ? placements.find(({ kind }) => kind === end) : undefined;
    return placement ? [<EndGrip key={end} {...{ x, segment, end, placement, natural, top, height }} />] : [];
  });
}

interface EndGripProps extends Omit<HeadTailGripsProps, 'course' | 'placements'> {
  readonly segment: Segment;
  readonly end: 'head' | 'tail';
  readonly placement: Placement;
}

function EndGrip({ x, segment, end, placement, natural, top, height }: EndGripProps) {
  const edit = useEdit();
  const gesture = useGesture();
  const [pull, setPull] = useState<{ clientX: number; long: number }>();
  const long = segment.prepare[end];
  const { station, length, factor } = placement;
  const other = segment.prepare[end === 'head' ? 'tail' : 'head'];
  const at = end === 'head' ? station + length : station;
  const put = (next: number) => {
    const kept = Number(Math.max(Math.min(next, natural * (1 - LEAST) - other), natural * LEAST).toFixed(4));
    edit((project) => setPrepare(project, segment.id, { [end]: kept }));
  };
  const metresOn = (pixels: number) => ((x.invert(pixels) - x.invert(0)) / factor) * (end === 'head' ? 1 : -1);
  return (
    <rect
      role="slider"
      tabIndex={0}
      aria-label={end === 'head' ? 'End of the head' : 'Start of the tail'}
      aria-valuenow={long}
      aria-valuetext={metres(long)}
      x={x(at) - 4}
      y={top}
      width={8}
      height={height - 6}
      fill="var(--mui-palette-primary-main)"
      fillOpacity={0.25}
      style={{ cursor: 'ew-resize', touchAction: 'none' }}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        setPull({ clientX: event.clientX, long });
        gesture.begin();
      }}
      onPointerMove={(event) => pull && put(pull.long + metresOn(event.clientX - pull.clientX))}
      onPointerUp={() => {
        if (pull) gesture.end();
        setPull(undefined);
      }}
      onKeyDown={(event) => {
        const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        put(long * (1 + 0.05 * (end === 'head' ? by : -by)));
      }}
    />
  );
}
