import { defineGuideBody } from '../guide-body';
import { turnedBody } from '../turned-body';

export const post = defineGuideBody({
  kind: 'post',
  label: 'Post',
  hint: 'A round post or mast that stands on its foot',
  fields: [
    { key: 'radius', label: 'Radius', initial: 0.15 },
    { key: 'height', label: 'Height', initial: 3 },
  ],
  build: (size) =>
    turnedBody([
      { r: 0, y: 0 },
      { r: size('radius'), y: 0, sharp: true },
      { r: size('radius'), y: size('height'), sharp: true },
      { r: 0, y: size('height') },
    ]),
});
