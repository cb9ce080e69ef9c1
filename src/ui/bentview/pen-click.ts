import { curveKind, type CurveSpec } from '../../core/curve/registry';

/** Whether a click on point `i` closes the path or ends drawing, while the pen is in hand; else it is a point like others. */
export function penClick(curve: CurveSpec, selected: number | undefined, i: number): 'close' | 'end' | undefined {
  const last = curve.points.length - 1;
  const isFromStart = selected === 0 && last > 0;
  if (i === (isFromStart ? 0 : last)) return 'end';
  const closes = last > 1 && !curve.closed && curveKind(curve).group === 'points';
  return i === (isFromStart ? last : 0) && closes ? 'close' : undefined;
}
