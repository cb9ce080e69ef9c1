import { Vector3, type Camera, type OrthographicCamera, type PerspectiveCamera } from 'three';
import { screenPicture } from '../bentview/screen-picture';
import { drawSides, type Side } from '../compare/sides';
import { askMirrors } from '../place/mirror';
import { withOnly } from './in-pictures';
import type { Sight } from './lens';

export interface PictureSpec {
  /** Pixels. */
  readonly width: number;
  readonly height: number;
  /** Colours from the top down that lie behind it; absent = nothing does, nor is there a ground. */
  readonly behind?: readonly [string, string] | undefined;
  readonly guides: boolean;
  /** Radians by which the camera has gone round what it looks at. */
  readonly turn: number;
}

/** Pixels of a side that is drawn in one go: larger pictures are put together. */
const TILE = 2048;

/** A picture of what is drawn, larger than the screen if need be, as a canvas. */
export function takePicture({ gl, scene, camera, target }: Sight, spec: PictureSpec): HTMLCanvasElement {
  const { width, height, behind } = spec;
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  const context = canvas.getContext('2d')!;
  if (behind) {
    const shade = context.createLinearGradient(0, 0, 0, height);
    shade.addColorStop(0, behind[0]);
    shade.addColorStop(0.38, behind[1]);
    context.fillStyle = shade;
    context.fillRect(0, 0, width, height);
  }
  const eye = turned(fitted(camera, width / height, gl.domElement.clientWidth / gl.domElement.clientHeight), target, spec.turn); // prettier-ignore
  const before = gl.getRenderTarget();
  const picture = screenPicture(Math.min(width, TILE), Math.min(height, TILE), true);
  const drawTile = (x: number, y: number): void => {
    const [w, h] = [Math.min(TILE, width - x), Math.min(TILE, height - y)];
    picture.setSize(w, h);
    eye.setViewOffset(width, height, x, y, w, h);
    eye.updateProjectionMatrix();
    gl.setRenderTarget(picture);
    const draw = (side?: Side) => {
      askMirrors(eye, `picture ${performance.now()} ${side}`);
      gl.render(scene, eye);
    };
    drawSides(gl, scene, draw, { x, whole: width });
    const pixels = new Uint8Array(w * h * 4);
    gl.readRenderTargetPixels(picture, 0, 0, w, h, pixels);
    const tile = document.createElement('canvas');
    [tile.width, tile.height] = [w, h];
    tile.getContext('2d')!.putImageData(new ImageData(upright(pixels, w, h), w, h), 0, 0);
    context.drawImage(tile, x, y);
  };
  try {
    gl.shadowMap.needsUpdate = true;
    withOnly(scene, { guides: spec.guides, ground: behind !== undefined }, () => {
      for (let y = 0; y < height; y += TILE) for (let x = 0; x < width; x += TILE) drawTile(x, y);
    });
  } finally {
    gl.setRenderTarget(before);
    picture.dispose();
  }
  return canvas;
}

type Eye = PerspectiveCamera | OrthographicCamera;

/** The camera for a picture of another shape, which shows all that the view shows. */
function fitted(camera: Camera, aspect: number, seen: number): Eye {
  const eye = (camera as Eye).clone();
  const wider = Math.max(seen / aspect, 1); // higher, where the picture is narrower than the view
  if ('isPerspectiveCamera' in eye) {
    eye.aspect = aspect;
    eye.fov = (2 * Math.atan(Math.tan((eye.fov * Math.PI) / 360) * wider) * 180) / Math.PI;
  } else {
    const middle = (eye.left + eye.right) / 2;
    const half = ((eye.top - eye.bottom) / 2) * wider;
    const y = (eye.top + eye.bottom) / 2;
    [eye.top, eye.bottom, eye.left, eye.right] = [y + half, y - half, middle - half * aspect, middle + half * aspect];
  }
  return eye;
}

/** The camera gone round a place, about what is up. */
function turned(eye: Eye, target: Vector3, angle: number): Eye {
  const up = new Vector3(0, 1, 0);
  eye.position.sub(target).applyAxisAngle(up, angle).add(target);
  eye.rotateOnWorldAxis(up, angle);
  eye.updateMatrixWorld(true);
  return eye;
}

/** Pixels from the top down, their colours as they are without what shines through (what was drawn is multiplied by it). */
function upright(pixels: Uint8Array, width: number, height: number): Uint8ClampedArray<ArrayBuffer> {
  const out = new Uint8ClampedArray(pixels.length);
  const row = width * 4;
  for (let y = 0; y < height; y++) out.set(pixels.subarray(y * row, (y + 1) * row), (height - 1 - y) * row);
  for (let i = 3; i < out.length; i += 4) {
    if (out[i] === 0 || out[i] === 255) continue;
    for (let c = 1; c <= 3; c++) out[i - c] = (out[i - c] * 255) / out[i];
  }
  return out;
}
