import { MeshBasicMaterial, ShaderLib, type WebGLProgramParametersWithUniforms, type WebGLRenderer } from 'three';
import { fading, meanLength } from './fading-lines';

/** Places every so many metres along x, and their edges. */
const row = (count: number, metres: (i: number) => number) => {
  const places = Array.from({ length: count }, (_, i) => [metres(i), 0, 0]).flat();
  return { places, pairs: Array.from({ length: count - 1 }, (_, i) => [i, i + 1]).flat() };
};

describe('the mean length of edges', () => {
  it('is that of all of few', () => {
    expect(meanLength([0, 0, 0, 3, 4, 0, 3, 4, 12], [0, 1, 1, 2])).toBeCloseTo((5 + 12) / 2, 12);
    expect(meanLength([], [])).toBe(0);
  });

  it('of a great many is about that of all, wherever they lie', () => {
    const { places, pairs } = row(100_001, (i) => 1e5 + (i % 2 === 0 ? i : i + 0.2));
    expect(meanLength(places, pairs)).toBeCloseTo(1, 2); // 1.2 and 0.8 in turns
  });
});

describe('a material of lines that fade', () => {
  const shaderOf = (edge: number) => {
    const material = fading(new MeshBasicMaterial(), edge);
    const { vertexShader, fragmentShader } = ShaderLib.basic;
    const shader = { vertexShader, fragmentShader, uniforms: {} } as WebGLProgramParametersWithUniforms;
    material.onBeforeCompile(shader, undefined as unknown as WebGLRenderer);
    return shader;
  };

  it('shows in full edges of seven pixels and more of a view of 500: by their length over their distance', () => {
    const { edge } = shaderOf(0.1).uniforms;
    // Seen without perspective from a view that is 500 / 70 edges high, one is seven pixels long there.
    const seen = 2 / ((500 / 7) * 0.1);
    expect((edge.value as number) * seen).toBeCloseTo(1, 12);
  });

  it('is told so to both shaders of three', () => {
    const { vertexShader, fragmentShader } = shaderOf(1);
    expect(vertexShader).toContain('shown = clamp(');
    expect(fragmentShader).toContain('diffuseColor.a *= shown;');
  });
});
