/** The greatest 32-bit number that is no greater than a number: a time that is written as one is reached when it is asked for. */
export function floatBelow(value: number): number {
  const near = Math.fround(value);
  if (near <= value || near === Infinity) return near;
  const bits = new DataView(new ArrayBuffer(4));
  bits.setFloat32(0, near);
  bits.setInt32(0, bits.getInt32(0) + (near > 0 ? -1 : 1));
  return bits.getFloat32(0);
}
