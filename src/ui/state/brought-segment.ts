import type { BroughtMesh } from '../../engine/compute-api';
import { CLEAN_DEFAULTS } from '../../core/mesh/clean/clean-mesh';
import { PREPARE_DEFAULTS } from '../../core/segment/segment-spec';
import { newId } from '../../project/new-id';
import type { Segment } from '../../project/schema';

/** A segment from a brought mesh, named after its file. An STL knows neither shared vertices nor smooth normals: both are made. */
export const broughtSegment = ({ asset, fileName }: BroughtMesh): Segment => ({
  id: newId(),
  name: fileName.replace(/\.[^.]+$/, '').slice(0, 200) || 'Mesh',
  source: { from: 'asset', asset, fileName },
  prepare: /\.stl$/i.test(fileName)
    ? { ...PREPARE_DEFAULTS, clean: { ...CLEAN_DEFAULTS, weld: 0, crease: (50 * Math.PI) / 180 } }
    : PREPARE_DEFAULTS,
  finishes: [],
});
