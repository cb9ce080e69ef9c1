import { Typography } from '@mui/material';
import { CLEAR_HEADROOM, USUAL_STRIDE, type StepFigures } from '../../core/layout/step-figures';
import { degrees, metres, whole } from '../format';

/** What a flight of steps comes to, with the rule of thumb beside its usual band. */
export function StepFiguresText({ steps }: { steps: StepFigures }) {
  const { risers, riser, going, slope, stride, headroom } = steps;
  const millimetres = (value: number) => `${whole(value * 1000)} mm`;
  const [least, most] = USUAL_STRIDE;
  return (
    <Typography variant="body2" color="text.secondary">
      {whole(risers)} risers of {millimetres(riser)} · going {millimetres(going)} · slope {degrees(slope)} · two risers
      and a going {millimetres(stride)} (usual: {whole(least * 1000)} to {whole(most * 1000)})
      {headroom !== undefined && ` · headroom ${metres(headroom)}`}. The dashed line is {metres(CLEAR_HEADROOM)} over
      the fronts, which is the least that is usual.
    </Typography>
  );
}
