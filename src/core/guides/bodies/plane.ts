import { boxedBody } from '../boxed-body';
import { defineGuideBody } from '../guide-body';

/** Metres: as good as none, but a plane then has an inside, and both its sides an outside. */
const THICKNESS = 0.001;

export const plane = defineGuideBody({
  kind: 'plane',
  label: 'Plane',
  hint: 'A flat face to draw on; it lies level until it is turned',
  isOpen: true,
  fields: [
    { key: 'x', label: 'Length (x)', initial: 4 },
    { key: 'z', label: 'Depth (z)', initial: 4 },
  ],
  build: (size) => boxedBody([-size('x') / 2, -THICKNESS, -size('z') / 2], [size('x') / 2, 0, size('z') / 2]),
});
