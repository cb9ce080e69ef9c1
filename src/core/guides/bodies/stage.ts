import { boxedBody } from '../boxed-body';
import { joinedBody } from '../joined-body';
import { defineGuideBody } from '../guide-body';

/** Metres: thickness of its boards and beams, width of its piles, and between them at the most. */
const BOARDS = 0.08;
const BEAM = 0.2;
const PILE = 0.24;
const APART = 3;

export const stage = defineGuideBody({
  kind: 'stage',
  label: 'Landing stage',
  hint: 'A deck of boards on piles; it stands on their feet',
  fields: [
    { key: 'x', label: 'Length (x)', initial: 9 },
    { key: 'y', label: 'Height (y)', initial: 1.6 },
    { key: 'z', label: 'Width (z)', initial: 3 },
  ],
  build(size) {
    const [x, y, z] = [size('x'), size('y'), size('z')];
    const top = Math.max(y - BOARDS, 0.01);
    const under = Math.max(top - BEAM, 0.005);
    const boxes = [boxedBody([-x / 2, top, -z / 2], [x / 2, y, z / 2])];
    const rows = Math.max(Math.ceil((x - PILE) / APART), 1);
    for (const side of [-1, 1]) {
      const middle = side * Math.max(z / 2 - PILE, 0);
      boxes.push(boxedBody([-x / 2, under, middle - BEAM / 2], [x / 2, top, middle + BEAM / 2]));
      for (let i = 0; i <= rows; i++) {
        const at = -x / 2 + PILE / 2 + ((x - PILE) * i) / rows;
        boxes.push(boxedBody([at - PILE / 2, 0, middle - PILE / 2], [at + PILE / 2, under, middle + PILE / 2]));
      }
    }
    return joinedBody(boxes);
  },
});
