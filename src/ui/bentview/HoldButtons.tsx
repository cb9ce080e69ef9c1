import { Box, ButtonBase } from '@mui/material';
import type { Hold } from './holds';

export interface HoldButtonsProps {
  readonly holds: readonly Hold[];
  readonly held: number;
  readonly onHold: (i: number) => void;
  /** Pixels below the disc's top. */
  readonly top: number;
}

/** What may hold a chosen point, to be clicked; Space steps through them while it is dragged. */
export function HoldButtons({ holds, held, onHold, top }: HoldButtonsProps) {
  return (
    <Box
      className="holds"
      role="group"
      aria-label="What holds it (Space)"
      sx={{ position: 'absolute', left: -6, top, pt: 1.5, display: 'flex', pointerEvents: 'auto' }}
    >
      {holds.map(({ name }, i) => (
        <ButtonBase
          key={name}
          tabIndex={-1}
          aria-pressed={i === held}
          onPointerDown={(event) => event.stopPropagation()}
          onClick={() => onHold(i)}
          sx={{
            px: 1.5,
            height: 20,
            fontSize: 11,
            whiteSpace: 'nowrap',
            border: '1px solid',
            borderColor: 'divider',
            ml: '-1px',
            bgcolor: (t) => (i === held ? t.vars!.palette.tokens.leafWash : t.vars!.palette.background.paper),
            fontWeight: i === held ? 650 : 400,
          }}
        >
          {name}
        </ButtonBase>
      ))}
    </Box>
  );
}
