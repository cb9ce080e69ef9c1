import type { MeshStandardMaterial } from 'three';

/** A texture that covers much ground shows its repeats: the same image, this many times as large, shades it over. */
const LARGER = 17.3;

export function withVariety(material: MeshStandardMaterial): MeshStandardMaterial {
  if (!material.map) return material;
  material.onBeforeCompile = (shader) => {
    shader.fragmentShader = shader.fragmentShader.replace(
      '#include <map_fragment>',
      `#include <map_fragment>
      vec3 large = texture2D(map, vMapUv / ${LARGER.toFixed(2)} + 0.37).rgb;
      vec3 mean = textureLod(map, vMapUv, 12.0).rgb;
      diffuseColor.rgb *= clamp(0.35 + 0.65 * large / max(mean, 0.02), 0.55, 1.5);`,
    );
  };
  material.customProgramCacheKey = () => 'variety';
  return material;
}
