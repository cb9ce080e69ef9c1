'use client';

import { Box, Button, Typography } from '@mui/material';
import type { Axis, PrepareSpec } from '../../core/segment/segment-spec';
import type { SegmentView } from '../../engine/segment-view';
import { metres } from '../format';

export interface SideQuestionProps {
  readonly prepare: PrepareSpec;
  readonly view: SegmentView;
  readonly onChange: (change: Partial<PrepareSpec>) => void;
}

/** A side that is this share of the longest may as well be the one along which the mesh runs. */
const ALIKE = 0.5;

/** Asks which way a brought mesh runs where its longest side does not tell. */
export function SideQuestion({ prepare, view, onChange }: SideQuestionProps) {
  const other = otherSide(view);
  if (prepare.forward !== 'auto' || !other) return null;
  const choices = [
    { axis: view.axes.forward as Axis, size: view.length },
    { axis: other.axis, size: other.size },
  ];
  return (
    <Box role="group" aria-label="Which way does it run?" sx={{ display: 'grid', gap: 1.5 }}>
      <Typography>
        Two of its sides are alike, so its longest one may not be the one along which it runs. Which way does it run?
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2 }}>
        {choices.map(({ axis, size }) => (
          <Button key={axis} variant="outlined" onClick={() => onChange({ forward: axis })}>
            Along {axis[1]}, {metres(size)}
          </Button>
        ))}
      </Box>
    </Box>
  );
}

/** The longest side beside the one that was taken for the length, where it is nearly as long. */
function otherSide({ box, length, axes }: SegmentView): { axis: Axis; size: number } | undefined {
  const { forward, up } = axes;
  if (forward === 'principal' || up === 'principal') return undefined;
  const [high, wide] = [box.max[1] - box.min[1], box.max[2] - box.min[2]];
  const side = ['x', 'y', 'z'].find((letter) => letter !== forward[1] && letter !== up[1])!;
  const size = Math.max(high, wide);
  return size < length * ALIKE ? undefined : { axis: `+${wide >= high ? side : up[1]}` as Axis, size };
}
