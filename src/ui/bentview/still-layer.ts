import {
  DepthTexture,
  DoubleSide,
  FramebufferTexture,
  Mesh,
  MeshBasicMaterial,
  NoBlending,
  OrthographicCamera,
  PlaneGeometry,
  Scene,
  ShaderMaterial,
  UnsignedIntType,
  Vector2,
  WebGLRenderTarget,
  type Camera,
  type Object3D,
  type WebGLRenderer,
} from 'three';

/** What stands still while something is dragged, kept as a picture with its depth: only what moves is then drawn anew. */
export class StillLayer {
  #key = '';
  #colour: FramebufferTexture | undefined;
  #depth: WebGLRenderTarget | undefined;
  readonly #plain = new MeshBasicMaterial({ side: DoubleSide });
  readonly #size = new Vector2();
  readonly #quad = new Scene();
  readonly #flat = new OrthographicCamera(-1, 1, 1, -1, 0, 1);
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
    this.#quad.add(new Mesh(new PlaneGeometry(2, 2), this.#material));
  }

  /** Draws the scene: what moves over what stands still, which is drawn once for every `key`. */
  draw(gl: WebGLRenderer, scene: Scene, camera: Camera, moves: (object: Object3D) => boolean, key: string): void {
    const [moving, still]: [Object3D[], Object3D[]] = [[], []];
    scene.traverseVisible((object) => {
      if ('isMesh' in object || 'isLine' in object || 'isLine2' in object)
        (moves(object) ? moving : still).push(object);
    });
    gl.getDrawingBufferSize(this.#size);
    const own = `${key} ${this.#size.x} ${this.#size.y} ${still.length} ${camera.matrixWorld.elements.join()} ${camera.projectionMatrix.elements.join()}`;
    if (own !== this.#key) this.#keep(gl, scene, camera, moving, still);
    this.#key = own;
    gl.autoClear = true;
    gl.render(this.#quad, this.#flat);
    gl.autoClear = false;
    hidden(still, () => gl.render(scene, camera));
    gl.autoClear = true;
  }

  dispose(): void {
    this.#forget();
    this.#material.dispose();
    this.#plain.dispose();
    this.#key = '';
  }

  #forget(): void {
    this.#colour?.dispose();
    this.#depth?.dispose();
  }

  #keep(
    gl: WebGLRenderer,
    scene: Scene,
    camera: Camera,
    moving: readonly Object3D[],
    still: readonly Object3D[],
  ): void {
    this.#forget();
    const { x, y } = this.#size;
    const depthTexture = new DepthTexture(x, y, UnsignedIntType);
    this.#depth = new WebGLRenderTarget(x, y, { depthTexture });
    this.#colour = new FramebufferTexture(x, y);
    // (1) As it is on the screen.
    hidden(moving, () => gl.render(scene, camera));
    gl.copyFramebufferToTexture(this.#colour);
    // (2) How far it is: of what can hide something.
    const others = still.filter(({ userData }) => userData.run === undefined && userData.guide === undefined);
    hidden([...moving, ...others], () => {
      gl.setRenderTarget(this.#depth!);
      scene.overrideMaterial = this.#plain;
      gl.clear();
      gl.render(scene, camera);
      scene.overrideMaterial = null;
      gl.setRenderTarget(null);
    });
    this.#material.uniforms.colour!.value = this.#colour;
    this.#material.uniforms.depth!.value = depthTexture;
  }
}

/** Without some objects for the time being. */
function hidden(objects: readonly Object3D[], act: () => void): void {
  for (const object of objects) object.visible = false;
  act();
  for (const object of objects) object.visible = true;
}
