'use client';

import DeleteOutlineRounded from '@mui/icons-material/DeleteOutlineRounded';
import { Box, Button, IconButton, Typography } from '@mui/material';
import { setStiff } from '../../project/commands/stiff';
import { Fold } from '../fields/Fold';
import { NumberField } from '../fields/NumberField';
import { metres, plural, radius } from '../format';
import { useEdit } from '../state/app-context';
import type { StepProps } from './step-props';

/** Stretches of the run that stay straight, such as fittings and clamps. */
export function StiffFields({ run, result }: Pick<StepProps, 'run' | 'result'>) {
  const edit = useEdit();
  if (!result) return null;
  const { length, besideStiff } = result.path;
  const stiff = run.shape.stiff ?? [];
  const put = (next: typeof stiff) => edit((project) => setStiff(project, run.id, next));
  const add = () => {
    const [from, to] = [length * 0.45, length * 0.55].map((at) => Number(at.toFixed(3))) as [number, number];
    put([...stiff, { from, to }]);
  };
  return (
    <Fold title="Stiff zones" summary={stiff.length === 0 ? 'none' : plural(stiff.length, 'zone')}>
      {stiff.map(({ from, to }, i) => (
        <Box key={i} sx={{ display: 'grid', gridTemplateColumns: '1fr 28px', alignItems: 'center' }}>
          <Box>
            {(['from', 'to'] as const).map((end) => (
              <NumberField
                key={end}
                label={end === 'from' ? `Zone ${i + 1} from` : 'to'}
                quantity="length"
                step={0.01}
                min={0}
                max={length}
                value={end === 'from' ? from : to}
                onChange={(value) => put(stiff.with(i, { from, to, [end]: value }))}
              />
            ))}
          </Box>
          <IconButton size="small" aria-label={`Delete zone ${i + 1}`} onClick={() => put(stiff.toSpliced(i, 1))}>
            <DeleteOutlineRounded sx={{ fontSize: 16 }} />
          </IconButton>
        </Box>
      ))}
      <Button variant="outlined" color="secondary" onClick={add} sx={{ my: 1 }}>
        Add a stiff zone
      </Button>
      {besideStiff && (
        <Typography variant="body2" color="text.secondary">
          The sharpest place beside them is {radius(besideStiff.radius)}
          {Number.isFinite(besideStiff.radius) && ` at ${metres(besideStiff.station)}`}.
        </Typography>
      )}
    </Fold>
  );
}
