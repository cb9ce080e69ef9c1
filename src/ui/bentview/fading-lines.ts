import type { MeshBasicMaterial } from 'three';

/** Edges that are drawn shorter than so many pixels are paler, so that far and fine ones leave the clay seen; in a view of so many. */
const FULL = 7;
const VIEW_HEIGHT = 500;

/** A material of lines that are about so long, metres. */
export function fading(material: MeshBasicMaterial, edge: number): MeshBasicMaterial {
  material.onBeforeCompile = (shader) => {
    shader.uniforms.edge = { value: (edge * VIEW_HEIGHT) / 2 / FULL };
    shader.vertexShader = `uniform float edge;\nvarying float shown;\n${shader.vertexShader.replace(
      '#include <project_vertex>',
      '#include <project_vertex>\nshown = clamp(edge * projectionMatrix[1][1] / gl_Position.w, 0.0, 1.0);',
    )}`;
    shader.fragmentShader = `varying float shown;\n${shader.fragmentShader.replace(
      '#include <color_fragment>',
      '#include <color_fragment>\ndiffuseColor.a *= shown;',
    )}`;
  };
  return material;
}

/** The mean length of some edges, metres; of a great many a share of them is asked. */
export function meanLength(positions: ArrayLike<number>, pairs: ArrayLike<number>): number {
  const stride = 2 * (Math.floor(pairs.length / 4000) | 1); // odd: kinds of edges often alternate
  let [sum, count] = [0, 0];
  for (let i = 0; i + 1 < pairs.length; i += stride, count++) {
    const [a, b] = [pairs[i] * 3, pairs[i + 1] * 3];
    sum += Math.hypot(positions[b] - positions[a], positions[b + 1] - positions[a + 1], positions[b + 2] - positions[a + 2]); // prettier-ignore
  }
  return count > 0 ? sum / count : 0;
}
