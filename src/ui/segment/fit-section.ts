import { scaleLinear, type ScaleLinear } from 'd3-scale';
import type { SectionPoint } from '../../core/segment/extrude';

/** Size of the sheet, pixels. */
export const SHEET = { width: 560, height: 400, margin: 52 } as const;

export interface SectionScales {
  /** Metres to the right, to pixels; and metres up. The same measure both ways. */
  readonly x: ScaleLinear<number, number>;
  readonly y: ScaleLinear<number, number>;
}

/** Fits an outline, and the path's middle, into the sheet. */
export function fitSection(outline: readonly SectionPoint[]): SectionScales {
  const zs = [0, ...outline.map(([z]) => z)];
  const ys = [0, ...outline.map(([, y]) => y)];
  const [z0, z1, y0, y1] = [Math.min(...zs), Math.max(...zs), Math.min(...ys), Math.max(...ys)];
  const { width, height, margin } = SHEET;
  const perMetre = Math.min(
    (width - 2 * margin) / Math.max(z1 - z0, 1e-3),
    (height - 2 * margin) / Math.max(y1 - y0, 1e-3),
  );
  const scale = (middle: number, at: number, sign: number) =>
    scaleLinear()
      .domain([middle - at / perMetre, middle + at / perMetre])
      .range(sign > 0 ? [0, 2 * at] : [2 * at, 0]);
  return { x: scale((z0 + z1) / 2, width / 2, 1), y: scale((y0 + y1) / 2, height / 2, -1) };
}
