'use client';

import { useRef, type PointerEvent } from 'react';
import { setRule } from '../../project/commands/runs';
import type { Course, Run } from '../../project/schema';
import { metres } from '../format';
import { useEdit, useGesture } from '../state/app-context';
import { KeyDisc } from './KeyDisc';
import type { StationScale } from './Lane';

interface StationHandlesProps {
  readonly x: StationScale & { invert(pixels: number): number };
  readonly run: Run;
  readonly course: Course;
  readonly length: number;
  /** The middle of the lane in which they stand, pixels. */
  readonly middle: number;
}

/** The stations at which pieces stand, to drag; one more where the lane is double clicked between them. */
export function StationHandles({ x, run, course, length, middle }: StationHandlesProps) {
  const edit = useEdit();
  const gesture = useGesture();
  const dragged = useRef<number>(undefined);
  const { rule } = course.laying;
  if (rule.kind !== 'atStations') return null;
  const put = (stations: readonly number[]) =>
    edit((project) => setRule(project, { run: run.id, course: course.id }, { ...rule, stations }));
  const at = (event: PointerEvent<SVGElement>) => {
    const pixels = event.clientX - event.currentTarget.ownerSVGElement!.getBoundingClientRect().left;
    return Math.min(Math.max(Number(x.invert(pixels).toFixed(3)), 0), length);
  };
  return rule.stations.map((station, i) => (
    <KeyDisc
      key={i}
      aria-label={`Station ${i + 1}`}
      aria-valuemin={0}
      aria-valuemax={length}
      aria-valuenow={station}
      aria-valuetext={metres(station)}
      cx={x(station)}
      cy={middle}
      style={{ cursor: 'ew-resize' }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        dragged.current = i;
        gesture.begin();
      }}
      onPointerMove={(event) => {
        if (dragged.current === i) put(rule.stations.with(i, at(event)));
      }}
      onPointerUp={() => {
        dragged.current = undefined;
        gesture.end();
      }}
      onKeyDown={(event) => {
        const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
        if (by !== 0) put(rule.stations.with(i, Math.min(Math.max(station + (by * length) / 200, 0), length)));
        if (event.key === 'Delete') {
          event.stopPropagation();
          put(rule.stations.toSpliced(i, 1));
        }
      }}
    />
  ));
}
