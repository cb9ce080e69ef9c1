/** Nodes and weights of the 16-point Gauss-Legendre rule on [-1, 1], positive half (Abramowitz & Stegun, table 25.4). */
const NODES = [
  0.0950125098376374402, 0.2816035507792589132, 0.4580167776572273863, 0.6178762444026437484, 0.7554044083550030339,
  0.8656312023878317439, 0.9445750230732325761, 0.9894009349916499326,
];
const WEIGHTS = [
  0.1894506104550684963, 0.1826034150449235889, 0.169156519395002538, 0.1495959888165767321, 0.1246289712555338721,
  0.0951585116824927848, 0.0622535239386478929, 0.0271524594117540949,
];

/** Integral of `f` from `a` to `b` by one 16-point rule. */
export function integrate(f: (x: number) => number, a: number, b: number): number {
  const middle = (a + b) / 2;
  const half = (b - a) / 2;
  let sum = 0;
  for (let i = 0; i < 8; i++) {
    const dx = half * NODES[i];
    sum += WEIGHTS[i] * (f(middle - dx) + f(middle + dx));
  }
  return sum * half;
}

/** Nodes and weights of the 6-point rule, positive half (same table). */
const FEW_NODES = [0.2386191860831969086, 0.6612093864662645137, 0.9324695142031520278];
const FEW_WEIGHTS = [0.4679139345726910473, 0.3607615730481386076, 0.171324492379170345];

/** Integral of `f` from `a` to `b` by one 6-point rule: for intervals on which `f` is nearly a polynomial of low degree. */
export function integrateShort(f: (x: number) => number, a: number, b: number): number {
  const middle = (a + b) / 2;
  const half = (b - a) / 2;
  let sum = 0;
  for (let i = 0; i < 3; i++) {
    const dx = half * FEW_NODES[i];
    sum += FEW_WEIGHTS[i] * (f(middle - dx) + f(middle + dx));
  }
  return sum * half;
}
