/** Directions round about into which walls are sorted: their textures then lie without a seam on what is nearly flat. */
const SIDES = 16;

/** Texture coordinates in metres for a mesh that has none: from above on what lies flat, from the side on what stands. Flat uv, as many as there are vertices. */
export function projectedUvs(positions: Float32Array, normals: Float32Array): Float32Array {
  const uvs = new Float32Array((positions.length / 3) * 2);
  for (let i = 0, k = 0; i < positions.length; i += 3, k += 2) {
    const [nx, ny, nz] = [normals[i], normals[i + 1], normals[i + 2]];
    const [x, y, z] = [positions[i], positions[i + 1], positions[i + 2]];
    if (Math.abs(ny) > Math.SQRT1_2) {
      uvs[k] = x;
      uvs[k + 1] = z;
      continue;
    }
    const step = (2 * Math.PI) / SIDES;
    const turn = Math.round(Math.atan2(nz, nx) / step) * step;
    uvs[k] = x * -Math.sin(turn) + z * Math.cos(turn);
    uvs[k + 1] = -y;
  }
  return uvs;
}
