import { SRGBColorSpace, Vector2, type BufferGeometry, type Camera, type MeshStandardMaterial, type Object3D, type ShaderMaterial, type WebGLRenderer } from 'three'; // prettier-ignore
import { Reflector } from 'three/addons/objects/Reflector.js';
import { withOnly } from '../pictures/in-pictures';

/** A camera asks to see what mirrors show of a state, for which the scene is drawn once more; absent = what they showed from there before. */
export function askMirrors(camera: Camera, state: string | undefined): void {
  camera.userData.mirrored = state;
}

/** Pixels of a mirrored picture for one of the picture it is in: waves blur it. */
const SHARE = 0.5;

const VERTEX = `
  uniform mat4 toMirror;
  varying vec4 inMirror;
  void main() {
    inMirror = toMirror * vec4(position, 1.0);`;
const FRAGMENT = `
  uniform sampler2D mirror;
  uniform float mirrors;
  varying vec4 inMirror;
  void main() {`;
/** In the colours of the screen. The flatter one looks at it, the more it mirrors (after Schlick, An Inexpensive BRDF Model for Physically-based Rendering, 1994, with a smaller power: waves look at one). */
const MIRRORING = `
  #include <colorspace_fragment>
  vec2 wave = normal.xy - (viewMatrix * vec4(0.0, 1.0, 0.0, 0.0)).xy;
  float facing = clamp(dot(normalize(vViewPosition), normal), 0.0, 1.0);
  vec3 mirrored = texture2D(mirror, inMirror.xy / inMirror.w + wave * 0.09).rgb;
  gl_FragColor = mix(gl_FragColor, vec4(mirrored, 1.0), mirrors * (0.05 + 0.8 * pow(1.0 - facing, 3.0)));`;

/** A level plane of a material in which what stands over it is seen, by cameras that ask for it, with three's own mirror. */
export function mirrorOf(plane: BufferGeometry, material: MeshStandardMaterial): Reflector {
  const mirror = new Reflector(plane, { multisample: 0 });
  const own = mirror.material as ShaderMaterial;
  const { tDiffuse, textureMatrix } = own.uniforms;
  const mirrors = { value: 0 };
  own.dispose();
  mirror.material = material;
  material.onBeforeCompile = (shader) => {
    Object.assign(shader.uniforms, { mirror: tDiffuse, toMirror: textureMatrix, mirrors });
    shader.vertexShader = shader.vertexShader.replace('void main() {', VERTEX);
    shader.fragmentShader = shader.fragmentShader
      .replace('void main() {', FRAGMENT)
      .replace('#include <colorspace_fragment>', MIRRORING);
  };
  const picture = Object.assign(mirror.getRenderTarget(), { isXRRenderTarget: true }); // in the colours of a screen
  picture.texture.colorSpace = SRGBColorSpace;
  const draw = mirror.onBeforeRender.bind(mirror) as (gl: WebGLRenderer, scene: Object3D, camera: Camera) => void;
  let [seenFrom, shown] = ['', ''];
  mirror.onBeforeRender = (gl, scene, camera) => {
    const eye = [camera.matrixWorld, camera.projectionMatrix].map(({ elements }) => elements.join()).join();
    const asked = camera.userData.mirrored as string | undefined;
    if (asked !== undefined && camera.position.y > mirror.position.y && shown !== `${eye} ${asked}`) {
      const { width, height } = gl.getRenderTarget() ?? sizeOf(gl);
      picture.setSize(Math.ceil(width * SHARE), Math.ceil(height * SHARE));
      withOnly(scene, { ground: true }, () => draw(gl, scene, camera));
      [seenFrom, shown] = [eye, `${eye} ${asked}`];
    }
    mirrors.value = seenFrom === eye ? 1 : 0;
  };
  return mirror;
}

function sizeOf(gl: WebGLRenderer): { width: number; height: number } {
  const { x, y } = gl.getDrawingBufferSize(new Vector2());
  return { width: x, height: y };
}
