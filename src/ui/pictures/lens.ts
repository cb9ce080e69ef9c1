import type { Camera, Scene, Vector3, WebGLRenderer } from 'three';

/** What a picture is taken with: the drawn scene, as it is looked at. */
export interface Sight {
  readonly gl: WebGLRenderer;
  readonly scene: Scene;
  readonly camera: Camera;
  /** What the camera looks at. */
  readonly target: Vector3;
}

/** Where pictures are taken from: the bent view, while it is there. */
export class Lens {
  #sight: (() => Sight) | undefined;

  /** Gives the way to take it away again. */
  attach(sight: () => Sight): () => void {
    this.#sight = sight;
    return () => {
      if (this.#sight === sight) this.#sight = undefined;
    };
  }

  sight(): Sight | undefined {
    return this.#sight?.();
  }
}
