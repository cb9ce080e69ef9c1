'use client';

import { Box } from '@mui/material';
import { useEffect, useRef, type KeyboardEvent } from 'react';
import type { Vec3 } from '../../core/math/vec3';
import type { ViewName } from '../state/session-store';
import { DiscNote, DiscTag } from './DiscWords';
import { HoldButtons } from './HoldButtons';
import { HoldLine } from './HoldLine';
import { PLACE_HOLDS, type Hold } from './holds';
import { nudge } from './nudge';
import { useDiscDrag, type DragHandlers } from './use-disc-drag';
import { useProjected } from './use-projected';
import type { Viewport } from './viewport';

export interface PathPointDiscProps {
  readonly viewport: Viewport;
  readonly view: ViewName;
  readonly label: string;
  readonly place: Vec3;
  readonly shape: 'point' | 'handle' | 'guide';
  /** A word beside it. */
  readonly tag?: string;
  readonly isSelected: boolean;
  /** What may hold it while it is dragged. */
  readonly holds?: readonly Hold[];
  readonly on: DragHandlers & {
    /** `isMore` = beside what is chosen already. */
    readonly select: (isMore: boolean) => void;
    readonly remove?: () => void;
  };
}

const SIZES = { point: 14, handle: 10, guide: 16 };

/** A point, handle or guide over the scene that can be dragged, and moved by keys when it has the focus. */
export function PathPointDisc({
  viewport,
  view,
  label,
  place,
  shape,
  tag,
  isSelected,
  holds = PLACE_HOLDS,
  on,
}: PathPointDiscProps) {
  const ref = useProjected<HTMLDivElement>(viewport, place);
  const isPressed = useRef(false);
  const { handlers, note, onKey, held, setHeld, isDragged } = useDiscDrag(viewport, view, place, holds, on);
  useEffect(() => {
    if (!isSelected) setHeld(0);
  }, [isSelected, setHeld]);
  const onKeyDown = (event: KeyboardEvent) => {
    const by = nudge(event.key, event.shiftKey);
    if (onKey(event)) {
      // meant for the drag
    } else if (by) on.move([place[0] + by[0], place[1] + by[1], place[2] + by[2]], { x: 0, y: 0, isExact: true });
    else if ((event.key === 'Delete' || event.key === 'Backspace') && on.remove) on.remove();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const size = SIZES[shape];
  return (
    <>
      {isDragged && held > 0 && <HoldLine viewport={viewport} place={place} hold={holds[held]} />}
      <Box
        ref={ref}
        sx={{
          position: 'absolute',
          left: 0,
          top: 0,
          width: size,
          height: size,
          '& .holds': { visibility: isDragged ? 'visible' : 'hidden' },
          '&:hover .holds, &:focus-within .holds': { visibility: 'visible' },
          '&:hover, &:focus-within': { zIndex: 1 }, // over the other discs, with what is said of it
        }}
      >
        <Box
          component="button"
          type="button"
          aria-label={label}
          aria-pressed={isSelected}
          {...handlers}
          onPointerDown={(event) => {
            isPressed.current = true;
            if (event.button === 0) on.select(event.ctrlKey || event.metaKey);
            handlers.onPointerDown(event);
          }}
          onFocus={() => {
            if (!isPressed.current) on.select(false); // a press has chosen already
          }}
          onPointerUp={() => {
            isPressed.current = false;
            handlers.onPointerUp();
          }}
          onKeyDown={onKeyDown}
          sx={{
            display: 'block',
            position: 'relative',
            width: size,
            height: size,
            p: 0,
            fontFamily: 'inherit',
            border: '2px solid',
            borderColor: 'primary.main',
            borderRadius: shape === 'point' ? '50%' : '2px',
            bgcolor: isSelected ? 'primary.main' : 'background.paper',
            cursor: 'grab',
            touchAction: 'none',
            pointerEvents: 'auto',
            '&::after': { content: '""', position: 'absolute', inset: -8 },
            '&:active': { cursor: 'grabbing' },
          }}
        />
        {tag && <DiscTag left={size + 3} top={size / 2 - 11} text={tag} />}
        {note !== undefined && <DiscNote text={note} />}
        {isSelected && <HoldButtons holds={holds} held={held} onHold={setHeld} top={size + 6} />}
      </Box>
    </>
  );
}
