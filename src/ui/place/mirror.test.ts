import {
  Group,
  Mesh,
  MeshStandardMaterial,
  PerspectiveCamera,
  PlaneGeometry,
  ShaderLib,
  Vector3,
  Vector4,
  type Camera,
  type Matrix4,
  type Object3D,
  type WebGLProgramParametersWithUniforms,
  type WebGLRenderer,
} from 'three';
import { FOR_WORK } from '../pictures/in-pictures';
import { askMirrors, mirrorOf } from './mirror';

const LEVEL = 1.5;

/** Water at a level, a camera over it, and what was drawn for the mirror. */
function water() {
  const material = new MeshStandardMaterial();
  const mirror = mirrorOf(new PlaneGeometry(100, 100), material);
  mirror.rotation.x = -Math.PI / 2;
  mirror.position.y = LEVEL;
  mirror.updateMatrixWorld();
  const camera = new PerspectiveCamera(45, 2, 0.1, 200);
  camera.position.set(3, 6, 14);
  camera.lookAt(0, 2, -4);
  camera.updateMatrixWorld();
  const scene = new Group();
  const work = new Mesh();
  work.userData = FOR_WORK;
  scene.add(mirror, work);
  const drawn: { eye: Camera; shown: boolean[] }[] = [];
  const gl = {
    ...{ xr: {}, shadowMap: {}, state: { buffers: { depth: { setMask: () => {} } } } },
    ...{ getRenderTarget: () => ({ width: 640, height: 321 }), setRenderTarget: () => {} },
    render: (_: Object3D, eye: Camera) => drawn.push({ eye: eye.clone(), shown: [mirror.visible, work.visible] }),
  } as unknown as WebGLRenderer;
  const shader = { ...ShaderLib.standard, uniforms: {} } as unknown as WebGLProgramParametersWithUniforms;
  material.onBeforeCompile(shader, gl);
  const look = () => mirror.onBeforeRender(gl, scene as never, camera, mirror.geometry, material, scene);
  return { mirror, camera, drawn, look, shader, work, mirrors: () => shader.uniforms.mirrors.value as number };
}

describe('a mirror', () => {
  it('is drawn for cameras that ask for it, without itself and what is for working', () => {
    const { mirror, camera, drawn, look, work, mirrors } = water();
    look();
    expect([drawn.length, mirrors()]).toEqual([0, 0]);
    askMirrors(camera, 'a');
    look();
    expect(drawn.map(({ shown }) => shown)).toEqual([[false, false]]);
    expect([mirror.visible, work.visible, mirrors()]).toEqual([true, true, 1]);
    const { width, height } = mirror.getRenderTarget();
    expect([width, height]).toEqual([320, 161]);
  });

  it('is drawn anew for another state only, shows what it did while the camera stands where it stood, and nothing from elsewhere or from below', () => {
    const { camera, drawn, look, mirrors } = water();
    askMirrors(camera, 'a');
    look();
    askMirrors(camera, undefined);
    look();
    expect([drawn.length, mirrors()]).toEqual([1, 1]);
    askMirrors(camera, 'a');
    look();
    expect(drawn.length).toBe(1);
    askMirrors(camera, 'b');
    look();
    expect(drawn.length).toBe(2);
    askMirrors(camera, undefined);
    camera.position.x += 0.01;
    camera.updateMatrixWorld();
    look();
    expect([drawn.length, mirrors()]).toEqual([2, 0]);
    askMirrors(camera, 'b');
    camera.position.y = LEVEL - 1;
    camera.updateMatrixWorld();
    look();
    expect([drawn.length, mirrors()]).toEqual([2, 0]);
  });

  // The law of reflection: the eye sees a thing where the line from its image behind the mirror to the eye goes through it.
  it('has a thing where its reflection is seen', () => {
    const { mirror, camera, drawn, look, shader } = water();
    askMirrors(camera, 'a');
    look();
    const thing = new Vector3(-2, 4, -6);
    const image = new Vector3(thing.x, 2 * LEVEL - thing.y, thing.z);
    const seen = camera.position.clone().lerp(image, (camera.position.y - LEVEL) / (camera.position.y - image.y));
    expect(seen.y).toBeCloseTo(LEVEL, 12);
    const local = mirror.worldToLocal(seen.clone());
    const at = new Vector4(local.x, local.y, local.z, 1).applyMatrix4(shader.uniforms.toMirror.value as Matrix4);
    const inPicture = thing.clone().project(drawn[0].eye);
    expect(at.x / at.w).toBeCloseTo((inPicture.x + 1) / 2, 6);
    expect(at.y / at.w).toBeCloseTo((inPicture.y + 1) / 2, 6);
  });

  it('goes into the material where three has its places for that', () => {
    const { shader } = water();
    expect(shader.vertexShader).toContain('inMirror = toMirror * vec4(position, 1.0);');
    expect(shader.fragmentShader).toContain('uniform sampler2D mirror;');
    expect(shader.fragmentShader).toContain('texture2D(mirror, inMirror.xy / inMirror.w');
  });
});
