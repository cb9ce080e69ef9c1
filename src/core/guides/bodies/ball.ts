import { defineGuideBody } from '../guide-body';
import { turnedBody } from '../turned-body';

const RINGS = 48;

export const ball = defineGuideBody({
  kind: 'ball',
  label: 'Ball',
  hint: 'A ball about its middle',
  fields: [{ key: 'radius', label: 'Radius', initial: 0.5 }],
  build: (size) =>
    turnedBody(
      Array.from({ length: RINGS + 1 }, (_, i) => {
        const angle = (Math.PI * i) / RINGS;
        const isPole = i === 0 || i === RINGS;
        return { r: isPole ? 0 : size('radius') * Math.sin(angle), y: -size('radius') * Math.cos(angle) };
      }),
    ),
});
