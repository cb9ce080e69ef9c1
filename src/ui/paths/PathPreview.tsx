import { Box } from '@mui/material';
import { line as lineOf } from 'd3-shape';
import { fitHandles } from '../../core/curve/fit-handles';
import { buildArcTable } from '../../core/curve/arc-table';
import { compileCurve, type CurveSpec } from '../../core/curve/registry';
import { add, type Vec3 } from '../../core/math/vec3';

/** How near the drawn curve keeps to the path, as a share of its length. */
const SHARE = 1e-4;

/** Places along a path for drawing; its points where it is no curve. */
export function placesAlong(spec: CurveSpec): readonly Vec3[] {
  const corners = spec.points.map(({ position }) => position);
  if (spec.kind === 'straight') return spec.closed ? [...corners, corners[0]!] : corners;
  const compiled = compileCurve(spec);
  if (!compiled.ok) return corners;
  const fitted = fitHandles(compiled.value, buildArcTable(compiled.value).length * SHARE);
  const points = spec.closed ? [...fitted, fitted[0]!] : fitted;
  return points.flatMap((from, i) => {
    const to = points[i + 1];
    if (!to) return [from.position];
    const [b, c] = [add(from.position, from.handleOut ?? [0, 0, 0]), add(to.position, to.handleIn ?? [0, 0, 0])];
    return [0, 0.25, 0.5, 0.75].map((t): Vec3 => {
      const s = 1 - t;
      const at = (k: 0 | 1 | 2) =>
        s ** 3 * from.position[k] + 3 * s * s * t * b[k] + 3 * s * t * t * c[k] + t ** 3 * to.position[k];
      return [at(0), at(1), at(2)];
    });
  });
}

/** Lines seen from above, or from the front where they stand upright; the chosen ones stand out. */
export function PathPreview({ lines, chosen }: { lines: readonly (readonly Vec3[])[]; chosen: ReadonlySet<number> }) {
  const all = lines.flat();
  const extent = (k: 0 | 1 | 2) => {
    const values = all.map((place) => place[k]);
    const min = values.reduce((a, b) => Math.min(a, b), Infinity);
    const max = values.reduce((a, b) => Math.max(a, b), -Infinity);
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
          stroke={chosen.has(i) ? 'var(--mui-palette-primary-main)' : 'var(--mui-palette-text-secondary)'}
          strokeWidth={chosen.has(i) ? 2 : 1.25}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </Box>
  );
}
