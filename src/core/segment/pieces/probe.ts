import type { PreparedSegment } from '../prepared-segment';

/** A form with one vertex a row, on the path, at these places, metres, ascending: to ask how rows lie there. */
export function probeAt(form: PreparedSegment, xs: Float32Array): PreparedSegment {
  const positions = new Float32Array(xs.length * 3);
  xs.forEach((x, i) => (positions[i * 3] = x));
  return probeOf(form, positions, form.mesh.normals);
}

/** A form with one vertex a row, off the path and looking somewhere: flat xyz each, x ascending. */
export const probeOf = (
  { corners: _, ...form }: PreparedSegment,
  positions: Float32Array,
  normals: Float32Array,
): PreparedSegment => ({
  ...form,
  mesh: { ...form.mesh, positions, normals },
  rows: Uint32Array.from({ length: positions.length / 3 + 1 }, (_row, i) => i),
});
