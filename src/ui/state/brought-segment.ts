import type { BroughtMesh } from '../../engine/compute-api';
import { boxSize } from '../../core/mesh/box';
import { CLEAN_DEFAULTS } from '../../core/mesh/clean/clean-spec';
import { unitOnArrival } from '../../core/segment/likely-unit';
import { PREPARE_DEFAULTS } from '../../core/segment/segment-spec';
import { newId } from '../../project/new-id';
import type { Segment } from '../../project/schema';
import { metres } from '../format';
import { unitName } from '../fields/UnitField';

const unitOf = ({ fileName, box }: BroughtMesh): number =>
  unitOnArrival(Math.max(...boxSize(box)), /\.(glb|gltf)$/i.test(fileName));

/** A segment from a brought mesh, named after its file. An STL knows neither shared vertices nor smooth normals: both are made. */
export const broughtSegment = (mesh: BroughtMesh): Segment => ({
  id: newId(),
  name: mesh.fileName.replace(/\.[^.]+$/, '').slice(0, 200) || 'Mesh',
  source: { from: 'asset', asset: mesh.asset, fileName: mesh.fileName },
  prepare: {
    ...PREPARE_DEFAULTS,
    unit: unitOf(mesh),
    ...(/\.stl$/i.test(mesh.fileName) && { clean: { ...CLEAN_DEFAULTS, weld: 0, crease: (50 * Math.PI) / 180 } }),
  },
  finishes: [],
});

/** How large a mesh is as it arrives, and in what unit it was read. */
export function arrivalWords(mesh: BroughtMesh): string {
  const unit = unitOf(mesh);
  const [x, y, z] = boxSize(mesh.box).map((side) => metres(side * unit));
  const how = unit === 1 ? 'read in metres' : `most likely in ${unitName(unit)}`;
  return `${mesh.fileName.slice(0, 60)}: ${x} by ${y} by ${z}, ${how}. Prepare the segment to choose another unit.`;
}

/** Whether the longest side of a brought mesh may not be the one along which it runs. */
export function isSideInDoubt({ box }: BroughtMesh): boolean {
  const [least, middle, most] = [...boxSize(box)].sort((a, b) => a - b) as [number, number, number];
  return least >= 0 && middle > most / 2;
}
