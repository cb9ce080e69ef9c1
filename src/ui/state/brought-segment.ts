import type { BroughtMesh } from '../../engine/compute-api';
import { PREPARE_DEFAULTS } from '../../core/segment/segment-spec';
import { newId } from '../../project/new-id';
import type { Segment } from '../../project/schema';

/** A segment from a brought mesh, named after its file. */
export const broughtSegment = ({ asset, fileName }: BroughtMesh): Segment => ({
  id: newId(),
  name: fileName.replace(/\.[^.]+$/, '').slice(0, 200) || 'Mesh',
  source: { from: 'asset', asset, fileName },
  prepare: PREPARE_DEFAULTS,
});
