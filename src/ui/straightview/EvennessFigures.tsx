'use client';

import { Box, Typography } from '@mui/material';
import { SIDES_STRIDE } from '../../core/layout/side-stretch';
import { degrees, percentText, plural, radius, signed } from '../format';
import { problemWords } from '../../engine/problem-words';
import { useResults } from '../state/app-context';
import type { CourseView } from '../state/results-store';

const text = (share: number) => signed(percentText(share * 100), share);

/** How even the run is: its pieces' stretch, at their sides too, and its twist. */
export function EvennessFigures({ result: { layout, path } }: { result: CourseView }) {
  const uncrossed = useResults((s) => s.uncrossed);
  const { placements, sides } = layout;
  const axes = placements.map((_, i) => sides[i * SIDES_STRIDE]);
  const mean = axes.reduce((sum, axis) => sum + axis, 0) / Math.max(axes.length, 1);
  const off = Math.sqrt(axes.reduce((sum, axis) => sum + (axis - mean) ** 2, 0) / Math.max(axes.length, 1));
  const [inner, outer] = sides.reduce<[number, number]>(([least, most], side) => [Math.min(least, side), Math.max(most, side)], [Infinity, -Infinity]); // prettier-ignore
  const { least, greatest, deviation } = path.twist;
  const rows: readonly (readonly [string, string])[] = [
    [plural(placements.length, 'piece'), `${text(mean - 1)}, off by ${percentText(off * 100)}`],
    ['At their sides', `${text(inner - 1)} to ${text(outer - 1)}`],
    ['Twist a metre', least === greatest ? degrees(least) : `${degrees(least)} to ${degrees(greatest)}`],
    ['Off even twist by', degrees(deviation)],
    ['Tightest bend', radius(path.tightest.radius)],
  ];
  return (
    <Box component="section" aria-label="Evenness" sx={{ mt: 1 }}>
      <Typography sx={{ fontWeight: 650, fontSize: 13, mb: 1 }}>Evenness</Typography>
      <Box component="dl" sx={{ m: 0, display: 'grid', gridTemplateColumns: 'auto 1fr', columnGap: 2, rowGap: 0.75 }}>
        {rows.map(([name, value]) => (
          <Box key={name} sx={{ display: 'contents' }}>
            <Typography component="dt" variant="body2" color="text.secondary">
              {name}
            </Typography>
            <Typography component="dd" variant="body2" sx={{ m: 0, textAlign: 'right' }}>
              {value}
            </Typography>
          </Box>
        ))}
      </Box>
      {uncrossed.map((problem) => (
        <Typography key={problem.code} variant="body2" sx={{ mt: 2 }}>
          {problemWords(problem)}
        </Typography>
      ))}
      <Typography variant="body2" color="text.secondary" sx={{ mt: 2 }}>
        A click on the line of a lane sets a key there; its name has more.
      </Typography>
    </Box>
  );
}
