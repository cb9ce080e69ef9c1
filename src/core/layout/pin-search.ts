import type { ChordLine } from './chord-line';

/**
 * The next pin: the first place beyond t at which the straight distance is the pitch, by the secant method from a first guess `step` farther on.
 * NOTES: places alone are asked for, three of them a link where the step of the link before is the guess; with the curve's velocity at every pin
 * it took half as long again.
 */
export function nextPin(
  line: ChordLine,
  t: number,
  step: number,
  pitch: number,
  pin: Float64Array,
  out: Float64Array,
): number {
  const [x, y, z] = pin;
  const enough = Math.max(pitch * 1e-13, Math.max(Math.abs(x), Math.abs(y), Math.abs(z)) * 4e-15);
  let a = t;
  let fa = -pitch;
  let b = t + step;
  let fb = 0;
  // The root lies between these; infinite until a place beyond it is known.
  let low = t;
  let high = Infinity;
  for (let round = 1; round < 100; round++) {
    line.place(out, 0, b);
    const [dx, dy, dz] = [out[0] - x, out[1] - y, out[2] - z];
    fb = Math.sqrt(dx * dx + dy * dy + dz * dz) - pitch;
    if (fb <= enough && fb >= -enough) return b;
    if (fb < 0) low = b;
    else high = b;
    const next = b - (fb * (b - a)) / (fb - fa);
    a = b;
    fa = fb;
    const most = b + (MOST_STEP * -fb * step) / pitch;
    if (next > low && next < high && (high < Infinity || next <= most) && round % BISECT !== 0) b = next;
    else if (high < Infinity) b = (low + high) / 2;
    // Where the curve's speed jumps: on by what is missing, measured along it, which passes no nearer root.
    else b = line.paramOf(line.stationOf(b) + Math.max(-fb, pitch * 1e-3));
    if (b === a) break;
  }
  return Math.abs(fb) <= pitch * 1e-9 ? a : NaN;
}

/** So many times as far as a link goes at the pace of the one before: what asks for more has come to where the curve is slower. */
const MOST_STEP = 2;
/** After so many rounds of the secant method one by halves. */
const BISECT = 6;
