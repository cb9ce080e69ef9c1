import { useColorScheme } from '@mui/material/styles';
import { ObjectLoader, Vector3, type Camera } from 'three';
import { frameTime, rangeOf, type FrameRange } from '../../core/motion/frame-range';
import { showMoment } from '../pictures/show-moment';
import { takePicture } from '../pictures/take-picture';
import { useApp } from '../state/app-context';
import { TOKENS } from '../tokens';
import { goOn } from './use-work';

export interface PicturesAsked {
  readonly width: number;
  readonly height: number;
  /** The time that is played, or one turn round what is looked at, in so many frames; absent = the picture that is there. */
  readonly over: 'time' | 'turn' | undefined;
  readonly frames: number;
  readonly framesPerSecond: number;
  readonly isClear: boolean;
  readonly guides: boolean;
}

/** From where pictures are taken, as plain values, and seconds at which the project stood. */
export interface Eye {
  readonly camera: object;
  readonly target: readonly [number, number, number];
  readonly moment: number | undefined;
}

/** Takes pictures of the bent view: one after the other they go through the time, or round. */
export function usePictures() {
  const app = useApp();
  const { mode } = useColorScheme();
  const { paper, ground } = TOKENS[mode === 'dark' ? 'dark' : 'light'];
  const { document, session, lens } = app;
  const eyeNow = (): Eye => {
    const { camera, target } = lens.sight()!;
    return { camera: camera.toJSON(), target: target.toArray(), moment: session.getState().time };
  };
  const rangeFor = ({ over, frames, framesPerSecond }: PicturesAsked): FrameRange => {
    const { time } = document.getState().stored;
    return over === 'time' ? rangeOf({ ...time, framesPerSecond }) : { first: 1, last: frames, framesPerSecond };
  };
  /** The picture of a frame of its range. */
  const picture = async (asked: PicturesAsked, eye: Eye, frame: number, signal: AbortSignal) => {
    const { width, height, over, frames, isClear, guides } = asked;
    const range = rangeFor(asked);
    await showMoment(app, over === 'time' ? frameTime(range, frame) : eye.moment, signal);
    goOn(signal);
    const turn = over === 'turn' ? (2 * Math.PI * (frame - range.first)) / frames : 0;
    const behind = isClear ? undefined : ([paper, ground] as const);
    const camera = new ObjectLoader().parse(eye.camera) as unknown as Camera;
    const sight = { ...lens.sight()!, camera, target: new Vector3(...eye.target) };
    return takePicture(sight, { width, height, guides, turn, behind });
  };
  return { eyeNow, rangeFor, picture };
}

export const pngOf = (canvas: HTMLCanvasElement): Promise<Blob> =>
  new Promise((resolve, reject) => {
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('The picture is too large.'))), 'image/png');
  });
