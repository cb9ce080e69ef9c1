/** Number of the first of ascending values beyond `value`. */
export function firstAfter(values: ArrayLike<number>, value: number): number {
  let low = 0;
  let high = values.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (values[middle] > value) high = middle;
    else low = middle + 1;
  }
  return low;
}
