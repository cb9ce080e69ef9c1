import { Vector2, type Object3D, type WebGLRenderer } from 'three';

/** The held state and the present one, while they stand side by side. */
export type Side = 'A' | 'B';

/** Marks what is of one side only; the rest is drawn on both. */
export const OF_SIDE: Readonly<Record<Side, { readonly side: Side }>> = { A: { side: 'A' }, B: { side: 'B' } };

/** Says where in the scene's width the edge lies between A, to its left, and B, from 0 to 1; undefined = there is none. */
export function setEdge(scene: Object3D, edge: number | undefined): void {
  scene.userData.edge = edge;
}

export const hasEdge = (scene: Object3D): boolean => scene.userData.edge !== undefined;

/** Which part of a picture is drawn, in pixels of it; absent = all of it. */
export interface Tile {
  readonly x: number;
  /** The width of the picture. */
  readonly whole: number;
}

const SIZE = new Vector2();

/**
 * Draws a scene to what is set as target of `gl`. Where an edge is, each side is drawn for itself, clipped, with the shadows of its own
 * state; `draw` is told which. Otherwise it is drawn once.
 */
export function drawSides(gl: WebGLRenderer, scene: Object3D, draw: (side?: Side) => void, tile?: Tile): void {
  const edge = scene.userData.edge as number | undefined;
  if (edge === undefined) return draw();
  const target = gl.getRenderTarget();
  const [wide, high] = target ? [target.width, target.height] : gl.getSize(SIZE).toArray();
  const at = Math.min(Math.max(Math.round(edge * (tile?.whole ?? wide)) - (tile?.x ?? 0), 0), wide);
  const sides: readonly [Side, number, number][] = [
    ['A', 0, at],
    ['B', at, wide],
  ];
  try {
    for (const [side, from, to] of sides) {
      if (to === from) continue;
      clip(gl, from, to - from, high);
      gl.shadowMap.needsUpdate = true;
      withOnly(scene, side, () => draw(side));
    }
  } finally {
    unclip(gl, wide, high);
  }
}

/** Targets and the screen each have a clip of their own. */
function clip(gl: WebGLRenderer, x: number, width: number, height: number): void {
  const target = gl.getRenderTarget();
  if (!target) {
    gl.setScissor(x, 0, width, height);
    gl.setScissorTest(true);
    return;
  }
  target.scissor.set(x, 0, width, height);
  target.scissorTest = true;
  gl.setRenderTarget(target); // reads them
}

function unclip(gl: WebGLRenderer, width: number, height: number): void {
  const target = gl.getRenderTarget();
  if (!target) {
    gl.setScissor(0, 0, width, height);
    gl.setScissorTest(false);
    return;
  }
  target.scissor.set(0, 0, width, height);
  target.scissorTest = false;
  gl.setRenderTarget(target);
}

function withOnly(scene: Object3D, side: Side, act: () => void): void {
  const hidden: Object3D[] = [];
  scene.traverseVisible((object) => {
    if (object.userData.side !== undefined && object.userData.side !== side) hidden.push(object);
  });
  for (const object of hidden) object.visible = false;
  try {
    act();
  } finally {
    for (const object of hidden) object.visible = true;
  }
}
