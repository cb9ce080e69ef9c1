import {
  Mesh,
  NoBlending,
  OrthographicCamera,
  PlaneGeometry,
  Scene,
  ShaderMaterial,
  type Texture,
  Vector3,
  type WebGLRenderer,
  type WebGLRenderTarget,
} from 'three';
import type { Eye } from './lens-change';

/** How much of the light there is where, as a camera sees it that looks so many metres far. */
export interface Shade {
  readonly texture: Texture;
  readonly camera: Eye;
  readonly distance: number;
}

/** Corners are shaded as far away as so many times the distance at which one looks. */
const NEARBY = 2;
/** How strongly corners are shaded. */
const SHADE = 0.85;

/** Draws a picture with its depth over all of what is drawn to. */
export class CopyPicture {
  readonly #quad = new Scene();
  readonly #flat = new OrthographicCamera(-1, 1, 1, -1, 0, 1);
  readonly #plane = new PlaneGeometry(2, 2);
  readonly #material = new ShaderMaterial({
    uniforms: {
      colour: { value: null },
      depth: { value: null },
      shade: { value: null },
      shades: { value: 0 },
      lens: { value: new Vector3() },
    },
    vertexShader: 'varying vec2 at; void main() { at = uv; gl_Position = vec4(position.xy, 0.0, 1.0); }',
    fragmentShader: `
      uniform sampler2D colour;
      uniform sampler2D depth;
      uniform sampler2D shade;
      uniform float shades;
      uniform vec3 lens; // near, far, and how far one looks; near below 0 = without perspective
      varying vec2 at;
      void main() {
        gl_FragColor = texture2D(colour, at);
        gl_FragDepth = texture2D(depth, at).r;
        if (shades == 0.0 || gl_FragDepth == 1.0) return;
        float away = lens.x < 0.0 ? 0.0 : lens.x * lens.y / (lens.y - gl_FragDepth * (lens.y - lens.x));
        float near = 1.0 - smoothstep(lens.z, 3.0 * lens.z, away); // far off there is not depth enough to tell
        gl_FragColor.rgb *= mix(1.0, texture2D(shade, at).r, shades * near);
      }`,
    blending: NoBlending,
    toneMapped: false,
  });

  constructor() {
    this.#quad.add(new Mesh(this.#plane, this.#material));
  }

  /** `shade` = by how much it is shaded where, if it is. */
  draw(gl: WebGLRenderer, { texture, depthTexture }: WebGLRenderTarget, shade?: Shade): void {
    this.#material.uniforms.colour.value = texture;
    this.#material.uniforms.depth.value = depthTexture;
    this.#material.uniforms.shade.value = shade?.texture ?? null;
    if (shade) {
      const { camera, distance } = shade;
      const near = 'isPerspectiveCamera' in camera ? camera.near : -1;
      (this.#material.uniforms.lens.value as Vector3).set(near, camera.far, distance * NEARBY);
    }
    this.#material.uniforms.shades.value = shade ? SHADE : 0;
    gl.render(this.#quad, this.#flat);
  }

  dispose(): void {
    this.#plane.dispose();
    this.#material.dispose();
  }
}
