import { NEAR_ORIGIN } from '../core/math/tolerance';
import { PLAIN_MATERIAL, type Material } from '../core/mesh/mesh';
import { projectedUvs } from '../core/mesh/projected-uvs';
import type { NamedMesh } from '../formats/format';
import type { Guide } from '../project/schema';
import type { Deriver } from './derive';

type Surfaces = Pick<Deriver, 'guides' | 'segments'>;

/** Guides as a file holds them, as they look, or pale; those whose mesh is missing are left out. */
export const guideMeshes = async (guides: readonly Guide[], deriver: Surfaces): Promise<NamedMesh[]> =>
  (await Promise.all(guides.map((guide) => guideMesh(guide, deriver)))).flat();

async function guideMesh(guide: Guide, { guides, segments }: Surfaces): Promise<readonly NamedMesh[]> {
  const { name, position, finish } = guide;
  const built = await guides.get(isFar(guide) ? { ...guide, position: [0, 0, 0] } : guide);
  if (!built.ok) return [];
  const { positions, normals, indices } = built.value.mesh;
  const worn = finish && (await segments.surface(finish));
  const { materials, images } = worn?.ok ? worn.value : { materials: [PALE], images: [] };
  const uvs = worn?.ok ? projectedUvs(positions, normals) : new Float32Array((positions.length / 3) * 2);
  const parts = [{ name: 'Guide', material: 0, start: 0, count: indices.length }];
  const mesh = { positions, normals, uvs, indices, parts, materials, images };
  return [{ name, mesh, ...(isFar(guide) && { origin: position }) }];
}

/** Whether a guide's mesh has to count from the guide itself, as those of far runs do. */
const isFar = ({ position }: Guide): boolean => position.some((c) => Math.abs(c) > NEAR_ORIGIN);

const PALE: Material = { ...PLAIN_MATERIAL, name: 'Guide', colour: [0.75, 0.75, 0.72, 1] };
