'use client';

import { Box } from '@mui/material';
import { lerp, sub, type Vec3 } from '../../core/math/vec3';
import { metres } from '../format';
import { useSession } from '../state/app-context';
import { HandleLines } from './HandleLines';
import { useProjected } from './use-projected';
import type { Viewport } from './viewport';

/** The ruler between two places of the scene: how far apart, and by how much along the axes. */
export function RulerOverlay({ viewport, to }: { viewport: Viewport; to: Vec3 | undefined }) {
  const ruler = useSession((s) => s.ruler);
  const [from, end = to] = ruler;
  if (!from || !end) return null;
  return (
    <>
      <HandleLines viewport={viewport} from={from} to={[end]} isDashed />
      <Measure viewport={viewport} from={from} to={end} />
    </>
  );
}

function Measure({ viewport, from, to }: { viewport: Viewport; from: Vec3; to: Vec3 }) {
  const ref = useProjected<HTMLDivElement>(viewport, lerp(from, to, 0.5));
  const [x, y, z] = sub(to, from);
  return (
    <Box
      ref={ref}
      role="status"
      aria-label="Ruler"
      sx={{
        position: 'absolute',
        left: 0,
        top: 0,
        px: 2.5,
        py: 1,
        borderRadius: 1,
        bgcolor: 'background.paper',
        border: '1px solid',
        borderColor: 'divider',
        fontSize: 12,
        whiteSpace: 'nowrap',
        pointerEvents: 'none',
      }}
    >
      <b>{metres(Math.hypot(x, y, z))}</b>
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {' '}
        x {metres(x)}, up {metres(y)}, z {metres(z)}
      </Box>
    </Box>
  );
}
