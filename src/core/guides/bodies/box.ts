import { boxedBody } from '../boxed-body';
import { defineGuideBody } from '../guide-body';

export const box = defineGuideBody({
  kind: 'box',
  label: 'Box',
  hint: 'A wall, a beam, a cabinet that stands on its foot',
  fields: [
    { key: 'x', label: 'Length (x)', initial: 2 },
    { key: 'y', label: 'Height (y)', initial: 1 },
    { key: 'z', label: 'Depth (z)', initial: 0.4 },
  ],
  build: (size) => boxedBody([-size('x') / 2, 0, -size('z') / 2], [size('x') / 2, size('y'), size('z') / 2]),
});
