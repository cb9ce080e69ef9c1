import type { Material, Part } from '../../core/mesh/mesh';
import { toHex } from '../../core/segment/colour';
import type { FinishSpec } from '../../core/segment/finish/finish-spec';
import { FINISH_DEFAULTS } from '../../project/defaults';

/** A finish that looks like a part's material as it came. */
export function finishAsBrought(
  { materials }: { readonly materials: readonly Material[] },
  parts: readonly Pick<Part, 'name' | 'material'>[],
  part: string,
): FinishSpec {
  const material = materials[parts.find(({ name }) => name === part)?.material ?? 0];
  if (!material) return { ...FINISH_DEFAULTS, part };
  const [r, g, b] = material.colour;
  const { roughness, metalness } = material;
  return { ...FINISH_DEFAULTS, part, colour: toHex([r, g, b]), roughness, metalness };
}
