'use client';

import { Box } from '@mui/material';
import type { PathView } from '../../engine/path-view';
import { metres } from '../format';
import { useSession } from '../state/app-context';
import { placeAt } from './nearest-station';
import { useProjected } from './use-projected';
import type { Viewport } from './viewport';

/** The station that the pointer is at, in this view or the straight one. */
export function StationMarker({ viewport, path }: { viewport: Viewport; path: PathView }) {
  const station = useSession((s) => s.station);
  const isFinding = useSession((s) => s.finding !== undefined);
  if (station === undefined) return null;
  return <Marker viewport={viewport} path={path} station={station} isFinding={isFinding} />;
}

function Marker({
  viewport,
  path,
  station,
  isFinding,
}: {
  viewport: Viewport;
  path: PathView;
  station: number;
  isFinding: boolean;
}) {
  const ref = useProjected<HTMLDivElement>(viewport, placeAt(path, station));
  const colour = isFinding ? 'error.main' : 'secondary.main';
  return (
    <Box
      ref={ref}
      sx={{
        position: 'absolute',
        left: 0,
        top: 0,
        width: 8,
        height: 8,
        borderRadius: '50%',
        bgcolor: colour,
        pointerEvents: 'none',
      }}
    >
      <Box
        sx={{
          position: 'absolute',
          bottom: 14,
          left: '50%',
          transform: 'translateX(-50%)',
          px: 2,
          borderRadius: 1,
          bgcolor: colour,
          color: 'background.paper',
          fontSize: 11,
          lineHeight: '18px',
          whiteSpace: 'nowrap',
        }}
      >
        {metres(station)}
      </Box>
    </Box>
  );
}
