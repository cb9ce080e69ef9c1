import type { Camera, Scene, Texture, WebGLRenderer, WebGLRenderTarget } from 'three';
import type { GTAOPass } from 'three/addons/postprocessing/GTAOPass.js';

/** How far corners shade each other, as a share of the distance from which they are looked at. */
const REACH = 0.035;
/** Looks from every pixel. */
const SAMPLES = 12;

/** Where light from all around does not get to: worked out from the depth of a drawn picture, by three's own pass, which is read when it is first asked for. */
export class Occlusion {
  #pass: GTAOPass | undefined;
  #isFlat = false;
  #isAsked = false;

  /** Whether it can be drawn; if not, `onReady` is called when it can. */
  isReady(scene: Scene, camera: Camera, onReady: () => void): boolean {
    const isFlat = 'isOrthographicCamera' in camera;
    if (this.#pass && this.#isFlat === isFlat) return true;
    if (this.#isAsked) return false;
    this.#isAsked = true;
    void import('three/addons/postprocessing/GTAOPass.js').then((made) => {
      this.dispose();
      this.#isFlat = isFlat;
      this.#pass = new made.GTAOPass(scene, camera, 1, 1);
      this.#pass.output = made.GTAOPass.OUTPUT.Off;
      this.#isAsked = false;
      onReady();
    });
    return false;
  }

  /** How much light there is of what could be, over the whole picture. `distance` in metres, from which one looks. */
  draw(gl: WebGLRenderer, scene: Scene, camera: Camera, picture: WebGLRenderTarget, distance: number): Texture {
    const pass = this.#pass!;
    const radius = distance * REACH;
    pass.scene = scene;
    pass.camera = camera;
    if (pass.depthTexture !== picture.depthTexture) pass.setGBuffer(picture.depthTexture!, undefined);
    if (pass.width !== picture.width || pass.height !== picture.height) pass.setSize(picture.width, picture.height);
    pass.updateGtaoMaterial({ radius, distanceExponent: 1.4, thickness: radius, distanceFallOff: 1, scale: 1.1, samples: SAMPLES, screenSpaceRadius: false }); // prettier-ignore
    pass.updatePdMaterial({
      lumaPhi: 10,
      depthPhi: 2,
      normalPhi: 3,
      radius: 6,
      radiusExponent: 2,
      rings: 2,
      samples: 12,
    });
    pass.render(gl, picture, picture, 0, false);
    return pass.gtaoMap;
  }

  dispose(): void {
    this.#pass?.dispose();
    this.#pass = undefined;
  }
}
