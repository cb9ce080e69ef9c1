import { BufferAttribute, BufferGeometry } from 'three';
import type { CourseResult } from '../state/results-store';

/** three's geometry of a topology: all but its positions and normals. */
export function topologyGeometry({ uvs, colours, indices, parts }: CourseResult['topology']): BufferGeometry {
  const built = new BufferGeometry();
  built.setIndex(new BufferAttribute(indices, 1));
  built.setAttribute('uv', new BufferAttribute(uvs, 2));
  if (colours) built.setAttribute('color', new BufferAttribute(colours, 4));
  for (const { start, count, material } of parts) built.addGroup(start, count, material);
  return built;
}
