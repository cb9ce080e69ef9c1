import type { Vec3 } from '../math/vec3';
import type { Axis, PrepareSpec } from './segment-spec';

/** The unit vector of an axis name. */
export function axisVector(axis: Axis): Vec3 {
  const sign = axis[0] === '-' ? -1 : 1;
  return [axis[1] === 'x' ? sign : 0, axis[1] === 'y' ? sign : 0, axis[1] === 'z' ? sign : 0];
}

export interface ChosenAxes {
  readonly forward: Axis;
  readonly up: Axis;
}

/** The axes as they are told: principal ones have no name of their own. */
export interface NamedAxes {
  readonly forward: Axis | 'principal';
  readonly up: Axis | 'principal';
}

/**
 * Which of a mesh's directions is forward and which is up. Forward is found by the longest side of the box (x before z before y
 * when they are equal to one in a thousand); up is y, or z where forward is y. An up chosen along forward is not taken.
 */
export function findAxes(
  size: Vec3,
  { forward, up }: { readonly forward: Axis | 'auto'; readonly up: PrepareSpec['up'] },
): ChosenAxes {
  const found = forward === 'auto' ? longest(size) : forward;
  const free = (axis: Axis) => axis[1] !== found[1];
  const chosen = up !== 'auto' && free(up) ? up : free('+y') ? '+y' : '+z';
  return { forward: found, up: chosen };
}

function longest([x, y, z]: Vec3): Axis {
  const most = Math.max(x, y, z) / 1.001;
  return x >= most ? '+x' : z >= most ? '+z' : '+y';
}
