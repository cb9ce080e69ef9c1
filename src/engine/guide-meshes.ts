import { NEAR_ORIGIN } from '../core/math/tolerance';
import { PLAIN_MATERIAL, type Material } from '../core/mesh/mesh';
import type { NamedMesh } from '../formats/format';
import type { Guide } from '../project/schema';
import type { GuideKeeper } from './guide-keeper';

/** Guides as a file holds them, pale; those whose mesh is missing are left out. */
export async function guideMeshes(guides: readonly Guide[], keeper: GuideKeeper): Promise<NamedMesh[]> {
  const built = await Promise.all(
    guides.map((guide) => keeper.get(isFar(guide) ? { ...guide, position: [0, 0, 0] } : guide)),
  );
  return built.flatMap((guide, i) => {
    if (!guide.ok) return [];
    const { positions, normals, indices } = guide.value.mesh;
    const uvs = new Float32Array((positions.length / 3) * 2);
    const parts = [{ name: 'Guide', material: 0, start: 0, count: indices.length }];
    const mesh = { positions, normals, uvs, indices, parts, materials: [PALE], images: [] };
    const { name, position } = guides[i];
    return [{ name, mesh, ...(isFar(guides[i]) && { origin: position }) }];
  });
}

/** Whether a guide's mesh has to count from the guide itself, as those of far runs do. */
const isFar = ({ position }: Guide): boolean => position.some((c) => Math.abs(c) > NEAR_ORIGIN);

const PALE: Material = { ...PLAIN_MATERIAL, name: 'Guide', colour: [0.75, 0.75, 0.72, 1] };
