import type { ScaleLinear } from 'd3-scale';
import { useRef, type PointerEvent } from 'react';
import { editPiece } from '../../project/commands/courses';
import type { Course, Run } from '../../project/schema';
import { useEdit, useGesture } from '../state/app-context';

/** Pixels that a piece is pulled before it moves. */
const SLACK = 4;

/** Pulls a piece along the path, beside where the rule lays it. */
export function usePieceDrag(run: Run, course: Course, x: ScaleLinear<number, number>) {
  const edit = useEdit();
  const gesture = useGesture();
  const pull = useRef<{ piece: number; clientX: number; along: number }>(undefined);
  const moved = useRef(false);
  return {
    start(event: PointerEvent<Element>, piece: number) {
      event.currentTarget.setPointerCapture(event.pointerId);
      const along = course.laying.pieces.find((own) => own.piece === piece)?.along ?? 0;
      pull.current = { piece, clientX: event.clientX, along };
      moved.current = false;
      gesture.begin();
    },
    move(event: PointerEvent<Element>) {
      if (!pull.current) return;
      const { piece, clientX, along } = pull.current;
      const by = event.clientX - clientX;
      if (!moved.current && Math.abs(by) < SLACK) return;
      moved.current = true;
      const metres = Number((along + x.invert(by) - x.invert(0)).toFixed(4));
      edit((project) => editPiece(project, { run: run.id, course: course.id }, piece, { along: metres }));
    },
    end() {
      if (pull.current) gesture.end();
      pull.current = undefined;
    },
    /** Whether the press that just ended pulled something; asked once. */
    hasMoved() {
      const was = moved.current;
      moved.current = false;
      return was;
    },
  };
}
