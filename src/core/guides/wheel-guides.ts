import { beltWheels, type BeltWheel } from '../curve/belt-wheels';
import type { CurveSpec } from '../curve/registry';
import { cross, dot, length, normalize, rotate, scale, sub, X_AXIS, type Vec3 } from '../math/vec3';
import { frameOn } from '../shape/frame-on';
import { sectionReach, type Support } from '../shape/section-reach';
import type { Shape } from '../shape/shape';
import type { GuideSpec } from './guide-spec';

/** A wheel of a belt as a body in the scene. */
export type WheelGuide = Pick<GuideSpec, 'shape' | 'position' | 'turn'>;

/** What goes round the wheels: the shape of its course, how far its section reaches, and where it lies. */
export interface WheelInput {
  readonly curve: CurveSpec;
  readonly shape: Shape;
  readonly support: Support;
  /** The places of its pins now, and before it moved, flat xyz; empty where it has none. */
  readonly pins: Float64Array;
  readonly pinsAtRest: Float64Array;
  /** Metres that it has gone on. */
  readonly gone: number;
}

/** How broad wheels are, as a share of what they carry: teeth reach in between. */
const BREADTH = 0.9;
const TOOTHED_BREADTH = 0.35;
/** A plain wheel keeps at least this share of its radius, however thick the belt. */
const THINNEST = 0.3;

/** The wheels of a belt, where they stand now: plain ones touch the belt's inner side, and between the teeth of others lie its pins. */
export function wheelGuides(input: WheelInput): readonly WheelGuide[] {
  if (input.curve.kind !== 'belt') return [];
  return beltWheels(input.curve).map((wheel): WheelGuide => {
    const { middle, axle, radius, teeth, way } = wheel;
    const frame = frameOn(input.shape, input.shape.table.pointStations[wheel.point] ?? 0);
    const reach = (v: Vec3) => Math.max(sectionReach(input.support, frame, ...v), 0);
    const inwards = normalize(sub(middle, [frame[0], frame[1], frame[2]]));
    // Without slip a wheel turns by what has gone over it, over its radius.
    const angle = (way * input.gone) / radius;
    const across = reach(axle) + reach(scale(axle, -1));
    if (teeth === undefined) {
      const sizes = { radius: Math.max(radius - reach(inwards), radius * THINNEST), thickness: across * BREADTH };
      return {
        shape: { from: 'body', kind: 'disc', sizes },
        position: middle,
        turn: turnTo(axle, rotate(inwards, axle, angle)),
      };
    }
    const pitch = 2 * radius * Math.sin(Math.PI / teeth);
    const sizes = { teeth, pitch, thickness: across * TOOTHED_BREADTH };
    const outwards = scale(inwards, -1);
    const fromRolled = (pins: Float64Array, rolled: number): number | undefined => {
      const pin = pinOn(wheel, pins);
      return pin && Math.atan2(dot(cross(outwards, pin), axle), dot(outwards, pin)) - rolled;
    };
    // A gap between teeth is at the pins, and always the same one at the same pin: any other would be a jump.
    const atRest = fromRolled(input.pinsAtRest, 0) ?? 0;
    const now = fromRolled(input.pins, angle) ?? atRest;
    const own = atRest + nearestZero(now - atRest, (2 * Math.PI) / teeth);
    const towards = rotate(outwards, axle, angle + own);
    return { shape: { from: 'body', kind: 'toothedWheel', sizes }, position: middle, turn: turnTo(axle, towards) };
  });
}

/** What lies nearest to none of a value and those that are whole steps from it. */
const nearestZero = (value: number, step: number): number => value - Math.round(value / step) * step;

/** Radians by which wheels without teeth stand otherwise, at the most, when a belt has gone on so many metres. */
export const wheelsOffAfter = (curve: CurveSpec, way: number): number =>
  curve.kind === 'belt'
    ? Math.max(
        ...beltWheels(curve).map(({ radius, teeth }) =>
          teeth === undefined ? Math.abs(nearestZero(way / radius, 2 * Math.PI)) : 0,
        ),
        0,
      )
    : 0;

/** The direction from the middle of a wheel to the first pin that lies on it. */
function pinOn({ middle, radius, axle }: BeltWheel, pins: Float64Array): Vec3 | undefined {
  for (let i = 0; i < pins.length; i += 3) {
    const to = sub([pins[i], pins[i + 1], pins[i + 2]], middle);
    if (Math.abs(length(to) - radius) < radius * ON_WHEEL && Math.abs(dot(to, axle)) < radius * ON_WHEEL) return to;
  }
  return undefined;
}

/** Shares of the radius: pins that are as near to the circle lie on it. */
const ON_WHEEL = 1e-6;

/** The turns about x, then y, then z by which a body's y axis becomes the axle and its x axis the direction beside it. */
function turnTo(axle: Vec3, towards: Vec3): GuideSpec['turn'] {
  const ex = normalize(sub(towards, scale(axle, dot(towards, axle))), X_AXIS);
  const ez = cross(ex, axle);
  const about = -Math.asin(Math.min(Math.max(ex[2], -1), 1));
  // Looking along z the first and the last turn are one.
  if (Math.abs(ex[2]) > 1 - 1e-12) return [Math.atan2(-ez[1], axle[1]), about, 0];
  return [Math.atan2(axle[2], ez[2]), about, Math.atan2(ex[1], ex[0])];
}
