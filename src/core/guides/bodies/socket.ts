import { defineGuideBody } from '../guide-body';
import { turnedBody } from '../turned-body';

/** How deep the mouth is and how wide, as shares of the socket's depth and radius. */
const MOUTH_DEPTH = 0.7;
const MOUTH = 0.72;

export const socket = defineGuideBody({
  kind: 'socket',
  label: 'Socket',
  hint: 'Where an end is plugged in: its mouth opens along y',
  isOpen: true,
  fields: [
    { key: 'radius', label: 'Radius', initial: 0.03 },
    { key: 'depth', label: 'Depth', initial: 0.06 },
  ],
  // The mouth's rim lies in the origin, so that a plugged end stands in it.
  build: (size) => {
    const [r, d] = [size('radius'), size('depth')];
    return turnedBody([
      { r: 0, y: -d },
      { r, y: -d, sharp: true },
      { r, y: 0, sharp: true },
      { r: r * MOUTH, y: 0, sharp: true },
      { r: r * MOUTH, y: -d * MOUTH_DEPTH, sharp: true },
      { r: 0, y: -d * MOUTH_DEPTH },
    ]);
  },
});
