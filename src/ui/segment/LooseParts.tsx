import { Box, Typography } from '@mui/material';
import { maker } from '../../core/segment/registry';
import { SwitchField } from '../fields/SwitchField';
import type { PrepareFieldsProps } from './TurnFields';

/** Which parts of the segment keep clear of guides; leaves, for one, may touch them. */
export function LooseParts({ segment, prepare, view, onChange }: PrepareFieldsProps) {
  const { source } = segment;
  const own = source.from === 'maker' ? maker(source.spec.kind).loose : undefined;
  const loose = prepare.loose ?? own ?? [];
  const names = [...new Set(view?.parts.map(({ name }) => name))];
  return (
    <Box>
      <Typography variant="h3">Parts that keep clear of guides</Typography>
      {names.map((name) => (
        <SwitchField
          key={name}
          label={name}
          value={!loose.includes(name)}
          onChange={(isFirm) => onChange({ loose: isFirm ? loose.filter((n) => n !== name) : [...loose, name] })}
        />
      ))}
    </Box>
  );
}
