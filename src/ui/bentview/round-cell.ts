/** The nearest of 1, 2 and 5 times a power of ten. */
export function roundCell(size: number): number {
  const power = 10 ** Math.floor(Math.log10(Math.max(size, 1e-6)));
  const share = size / power;
  return Number(((share < 1.5 ? 1 : share < 3.5 ? 2 : share < 7.5 ? 5 : 10) * power).toPrecision(6));
}
