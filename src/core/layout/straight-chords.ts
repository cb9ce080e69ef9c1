import type { Chords, Walk } from './chords';

/** On a straight line, for rules that are asked without a path. */
export const straightChords = (from: number, to: number): Chords => {
  const length = to - from;
  const walk = (pitch: number, count: number): Walk => ({
    stations: Float64Array.from({ length: count + 1 }, (_, i) => from + i * pitch),
    pins: Float64Array.from({ length: (count + 1) * 3 }, (_, i) => (i % 3 === 0 ? from + (i / 3) * pitch : 0)),
    pitch,
    left: length - count * pitch,
  });
  return {
    walk: (pitch) => walk(pitch, Math.floor((length / pitch) * (1 + 1e-12))),
    closed: (pitch, multiple) => {
      const count = Math.max(Math.round(length / pitch / multiple), 1) * multiple;
      return walk(length / count, count);
    },
  };
};
