import { defineGuideBody } from '../guide-body';
import { turnedBody } from '../turned-body';

export const disc = defineGuideBody({
  kind: 'disc',
  label: 'Disc',
  hint: 'A wheel or sheave that lies flat about its middle',
  fields: [
    { key: 'radius', label: 'Radius', initial: 0.5 },
    { key: 'thickness', label: 'Thickness', initial: 0.08 },
  ],
  build: (size) =>
    turnedBody([
      { r: 0, y: -size('thickness') / 2 },
      { r: size('radius'), y: -size('thickness') / 2, sharp: true },
      { r: size('radius'), y: size('thickness') / 2, sharp: true },
      { r: 0, y: size('thickness') / 2 },
    ]),
});
