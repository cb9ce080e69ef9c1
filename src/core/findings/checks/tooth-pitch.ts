import { defineCheck } from '../finding';

/** Wheels whose teeth are not as far apart as the links that they carry. Facts: `teeth` and `links`, metres. */
export const toothPitch = defineCheck({
  kind: 'toothPitch',
  find({ path, layout }) {
    const teeth = path.numbers?.pitch ?? 0.1;
    if (!layout.pinned || path.kind !== 'belt' || path.points.every((point) => point.teeth === undefined)) return [];
    const { pitch: links } = layout.pinned;
    if (Math.abs(teeth / links - 1) < 1e-6) return [];
    return [{ check: 'toothPitch', facts: { teeth, links }, remedy: { kind: 'setToothPitch', metres: links } }];
  },
});
