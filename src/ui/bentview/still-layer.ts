import { Vector2, type Camera, type Object3D, type Scene, type WebGLRenderer, type WebGLRenderTarget } from 'three';
import type { CopyPicture } from './copy-picture';
import { screenPicture } from './screen-picture';

/** What stands still while something is dragged, kept as a picture with its depth: only what moves is then drawn anew. */
export class StillLayer {
  #key = '';
  #picture: WebGLRenderTarget | undefined;
  readonly #size = new Vector2();
  readonly #copy: CopyPicture;

  constructor(copy: CopyPicture) {
    this.#copy = copy;
  }

  /** Draws the scene: what moves over what stands still, which is drawn once for every `key`. True when it was now. */
  draw(gl: WebGLRenderer, scene: Scene, camera: Camera, moves: (object: Object3D) => boolean, key: string): boolean {
    const [moving, still]: [Object3D[], Object3D[]] = [[], []];
    scene.traverseVisible((object) => {
      if ('isMesh' in object || 'isLine' in object || 'isLine2' in object)
        (moves(object) ? moving : still).push(object);
    });
    const target = gl.getRenderTarget();
    const { x, y } = gl.getDrawingBufferSize(this.#size);
    const own = `${key} ${x} ${y} ${target?.samples} ${still.length} ${camera.matrixWorld.elements.join()} ${camera.projectionMatrix.elements.join()}`;
    const isNew = own !== this.#key;
    if (isNew) {
      this.dispose();
      this.#picture = screenPicture(x, y, target !== null);
      gl.setRenderTarget(this.#picture);
      hidden(moving, () => gl.render(scene, camera));
      gl.setRenderTarget(target);
    }
    this.#key = own;
    this.#copy.draw(gl, this.#picture!);
    gl.autoClear = false;
    hidden(still, () => gl.render(scene, camera));
    gl.autoClear = true;
    return isNew;
  }

  dispose(): void {
    this.#picture?.dispose();
    this.#picture?.depthTexture?.dispose();
    this.#picture = undefined;
    this.#key = '';
  }
}

/** Without some objects for the time being. */
function hidden(objects: readonly Object3D[], act: () => void): void {
  for (const object of objects) object.visible = false;
  act();
  for (const object of objects) object.visible = true;
}
