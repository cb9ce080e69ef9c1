import { Box3, Plane, Raycaster, Vector2, Vector3, type Camera, type Intersection, type Object3D } from 'three';
import type { Vec3 } from '../../core/math/vec3';

const AXES: readonly Vec3[] = [[1, 0, 0], [0, 1, 0], [0, 0, 1]]; // prettier-ignore

export interface ScreenPoint {
  /** Pixels from the view's top left corner. */
  readonly x: number;
  readonly y: number;
  /** In front of the camera. */
  readonly isAhead: boolean;
}

/** A place on something drawn. */
export interface ScenePlace {
  readonly id: string;
  readonly place: Vec3;
  readonly normal: Vec3;
}

/** The bridge between the drawn scene and the page's elements over it: projection, picking, and news of each frame. */
export class Viewport {
  #camera: Camera | undefined;
  #scene: Object3D | undefined;
  #width = 1;
  #height = 1;
  #redraw = () => {};
  readonly #middles = new Map<string, readonly Vec3[]>();
  readonly #listeners = new Set<() => void>();
  readonly #point = new Vector3();
  readonly #raycaster = new Raycaster();

  attach(camera: Camera, scene: Object3D, width: number, height: number, redraw: () => void): void {
    this.#camera = camera;
    this.#scene = scene;
    this.#width = width;
    this.#height = height;
    this.#redraw = redraw;
  }

  /** Called once a drawn frame, when the camera's matrices are up to date. */
  frameDrawn(): void {
    for (const listener of this.#listeners) listener();
  }

  onFrame(listener: () => void): () => void {
    this.#listeners.add(listener);
    listener();
    return () => this.#listeners.delete(listener);
  }

  /** Pixels. */
  get size(): { readonly width: number; readonly height: number } {
    return { width: this.#width, height: this.#height };
  }

  redraw(): void {
    this.#redraw();
  }

  toScreen([x, y, z]: Vec3): ScreenPoint {
    if (!this.#camera) return { x: 0, y: 0, isAhead: false };
    const p = this.#point.set(x, y, z).project(this.#camera);
    return { x: ((p.x + 1) / 2) * this.#width, y: ((1 - p.y) / 2) * this.#height, isAhead: p.z > -1 && p.z < 1 };
  }

  /** Where the ray under a pixel meets the plane through `through` with the given normal; undefined when it hardly does. */
  onPlane(x: number, y: number, through: Vec3, normal: Vec3): Vec3 | undefined {
    if (!this.#aim(x, y)) return undefined;
    const plane = new Plane().setFromNormalAndCoplanarPoint(new Vector3(...normal), new Vector3(...through));
    if (Math.abs(this.#raycaster.ray.direction.dot(plane.normal)) < 0.01) return undefined;
    const hit = this.#raycaster.ray.intersectPlane(plane, new Vector3());
    return hit ? [hit.x, hit.y, hit.z] : undefined;
  }

  /** The unit direction in which the camera looks. */
  lookingAlong(): Vec3 {
    const d = this.#camera?.getWorldDirection(new Vector3()) ?? new Vector3(0, 0, -1);
    return [d.x, d.y, d.z];
  }

  /** The run whose mesh is under a pixel. */
  runAt(x: number, y: number): string | undefined {
    return this.#nearest(x, y, (data) => data.run !== undefined)?.object.userData.run as string | undefined;
  }

  /** The place of a guide's surface under a pixel, with the face's normal on the side that is seen; not of scenery, where that is left out. */
  guideAt(x: number, y: number, { scenery = true } = {}): ScenePlace | undefined {
    return this.#hit(x, y, (data) => data.guide !== undefined && (scenery || !data.isScenery));
  }

  /** The place of any run or guide under a pixel. */
  surfaceAt(x: number, y: number): ScenePlace | undefined {
    return this.#hit(x, y, (data) => data.guide !== undefined || data.run !== undefined);
  }

  #hit(x: number, y: number, isWanted: (data: Record<string, unknown>) => boolean): ScenePlace | undefined {
    const hit = this.#nearest(x, y, isWanted);
    if (!hit?.face) return undefined;
    const n = hit.face.normal.clone().transformDirection(hit.object.matrixWorld);
    const side = n.dot(this.#raycaster.ray.direction) > 0 ? -1 : 1;
    const id = (hit.object.userData.guide ?? hit.object.userData.run) as string;
    return { id, place: hit.point.toArray(), normal: n.multiplyScalar(side).toArray() };
  }

  /** The first wanted thing under a pixel. Others are not asked: a ray through all of a large run's triangles takes as long as a frame. */
  #nearest(x: number, y: number, isWanted: (data: Record<string, unknown>) => boolean): Intersection | undefined {
    if (!this.#scene || !this.#aim(x, y)) return undefined;
    const wanted: Object3D[] = [];
    this.#scene.traverseVisible((object) => {
      if (isWanted(object.userData)) wanted.push(object);
    });
    return this.#raycaster.intersectObjects(wanted, false)[0];
  }

  /** Tells of the middles that points catch on; `undefined` when the guide is gone. */
  setMiddles(guide: string, middles: readonly Vec3[] | undefined): void {
    if (middles) this.#middles.set(guide, middles);
    else this.#middles.delete(guide);
  }

  guideMiddles(): readonly Vec3[] {
    return [...this.#middles.values()].flat();
  }

  /** Corners of a guide's box, or of all guides' that are no scenery. */
  guideCorners(id?: string): Vec3[] {
    const corners: Vec3[] = [];
    this.#scene?.traverseVisible((object) => {
      const { guide, isScenery } = object.userData;
      if (!guide || (id === undefined ? isScenery : guide !== id)) return;
      const { min, max } = new Box3().setFromObject(object);
      for (const x of [min.x, max.x])
        for (const y of [min.y, max.y]) for (const z of [min.z, max.z]) corners.push([x, y, z]);
    });
    return corners;
  }

  /** Where the scene's axes point on the screen, right and up, and towards the eye: unit vectors. */
  axesOnScreen(): readonly Vec3[] {
    const turn = this.#camera ? this.#camera.quaternion.clone().invert() : undefined;
    return AXES.map((axis) => (turn ? new Vector3(...axis).applyQuaternion(turn).toArray() : axis));
  }

  #aim(x: number, y: number): boolean {
    if (!this.#camera) return false;
    this.#raycaster.setFromCamera(new Vector2((x / this.#width) * 2 - 1, 1 - (y / this.#height) * 2), this.#camera);
    return true;
  }
}
