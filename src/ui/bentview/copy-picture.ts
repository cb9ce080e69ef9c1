import {
  Mesh,
  NoBlending,
  OrthographicCamera,
  PlaneGeometry,
  Scene,
  ShaderMaterial,
  type WebGLRenderer,
  type WebGLRenderTarget,
} from 'three';

/** Draws a picture with its depth over all of what is drawn to. */
export class CopyPicture {
  readonly #quad = new Scene();
  readonly #flat = new OrthographicCamera(-1, 1, 1, -1, 0, 1);
  readonly #plane = new PlaneGeometry(2, 2);
  readonly #material = new ShaderMaterial({
    uniforms: { colour: { value: null }, depth: { value: null } },
    vertexShader: 'varying vec2 at; void main() { at = uv; gl_Position = vec4(position.xy, 0.0, 1.0); }',
    fragmentShader: `
      uniform sampler2D colour;
      uniform sampler2D depth;
      varying vec2 at;
      void main() {
        gl_FragColor = texture2D(colour, at);
        gl_FragDepth = texture2D(depth, at).r;
      }`,
    blending: NoBlending,
    toneMapped: false,
  });

  constructor() {
    this.#quad.add(new Mesh(this.#plane, this.#material));
  }

  draw(gl: WebGLRenderer, { texture, depthTexture }: WebGLRenderTarget): void {
    this.#material.uniforms.colour.value = texture;
    this.#material.uniforms.depth.value = depthTexture;
    gl.render(this.#quad, this.#flat);
  }

  dispose(): void {
    this.#plane.dispose();
    this.#material.dispose();
  }
}
