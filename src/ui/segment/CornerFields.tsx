'use client';

import { Box, Button, Typography } from '@mui/material';
import type { CrossSection } from '../../core/segment/cross-section';
import { changeCorner, edgeCount, moveCorner } from '../../core/segment/edit-section';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';

export interface CornerFieldsProps {
  readonly spec: CrossSection;
  /** Corners lie along the path and away from it. */
  readonly isTurned: boolean;
  readonly corner: number | undefined;
  readonly onChange: (next: CrossSection) => void;
  readonly onDelete: () => void;
}

/** Angle of an arc from its bulge, radians. */
const toAngle = (bulge: number) => 4 * Math.atan(bulge);

/** The chosen corner in numbers, and the edge after it. */
export function CornerFields({ spec, isTurned, corner, onChange, onDelete }: CornerFieldsProps) {
  if (corner === undefined) {
    return <Typography color="text.secondary">Choose a corner to see its numbers.</Typography>;
  }
  const { z, y, bulge = 0, strip } = spec.corners[corner];
  const hasEdge = corner < edgeCount(spec) || (spec.closed && corner === spec.corners.length - 1);
  return (
    <Box>
      <Typography variant="h3">Corner {corner + 1}</Typography>
      <NumberField
        label={isTurned ? 'Along' : 'To the right'}
        quantity="length"
        step={0.005}
        value={z}
        onChange={(value) => onChange(moveCorner(spec, corner, value, y))}
      />
      <NumberField
        label={isTurned ? 'Radius' : 'Up'}
        quantity="length"
        step={0.005}
        value={y}
        onChange={(value) => onChange(moveCorner(spec, corner, z, value))}
      />
      {corner < edgeCount(spec) && (
        <NumberField
          label="Edge after it turns"
          quantity="angle"
          step={Math.PI / 36}
          min={-Math.PI}
          max={Math.PI}
          value={toAngle(bulge)}
          initial={0}
          onChange={(angle) => onChange(changeCorner(spec, corner, { bulge: Math.tan(angle / 4) }))}
        />
      )}
      {hasEdge && (
        <ChoiceField
          label="Edge after it is"
          value={String(strip)}
          choices={spec.strips.map(({ name }, i) => ({ value: String(i), label: name }))}
          onChange={(value) => onChange(changeCorner(spec, corner, { strip: Number(value) }))}
        />
      )}
      <Button size="small" variant="text" color="secondary" onClick={onDelete} sx={{ mx: -2 }}>
        Take the corner away
      </Button>
    </Box>
  );
}
