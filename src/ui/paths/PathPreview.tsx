import { Box } from '@mui/material';
import { line as lineOf } from 'd3-shape';
import type { Vec3 } from '../../core/math/vec3';

/** Lines seen from above, or from the front where they stand upright; the chosen one stands out. */
export function PathPreview({ lines, chosen }: { lines: readonly (readonly Vec3[])[]; chosen: number }) {
  const all = lines.flat();
  const extent = (k: 0 | 1 | 2) => {
    const values = all.map((place) => place[k]);
    const first = values[0] ?? 0;
    const min = values.reduce((a, b) => Math.min(a, b), first);
    const max = values.reduce((a, b) => Math.max(a, b), first);
    return { min, size: max - min };
  };
  const [ex, ey, ez] = [extent(0), extent(1), extent(2)];
  // Seen along the direction in which there is least to see.
  const least = Math.min(ex.size, ey.size, ez.size);
  const [h, v]: readonly [0 | 2, 1 | 2] = least === ey.size ? [0, 2] : least === ez.size ? [0, 1] : [2, 1];
  const [eh, ev] = [h === 0 ? ex : ez, v === 1 ? ey : ez];
  const margin = Math.max(eh.size, ev.size, 1e-9) * 0.06;
  const up = v === 1 ? -1 : 1;
  const path = lineOf<Vec3>(
    (place) => place[h],
    (place) => up * place[v],
  ).digits(9);
  const top = up > 0 ? ev.min : -(ev.min + ev.size);
  return (
    <Box
      component="svg"
      role="img"
      aria-label="The lines of the file"
      viewBox={`${eh.min - margin} ${top - margin} ${eh.size + 2 * margin} ${ev.size + 2 * margin}`}
      sx={{ width: '100%', height: 300, bgcolor: (t) => t.vars!.palette.tokens.paper, borderRadius: 1 }}
    >
      {lines.map((places, i) => (
        <path
          key={i}
          d={path(places as Vec3[]) ?? ''}
          fill="none"
          stroke={i === chosen ? 'var(--mui-palette-primary-main)' : 'var(--mui-palette-text-secondary)'}
          strokeWidth={i === chosen ? 2 : 1.25}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </Box>
  );
}
