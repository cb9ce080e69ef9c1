/**
 * Fills a convex face with triangles between two chains of its outline, both from its corner of least x to that of greatest, `right`
 * counter-clockwise and `left` clockwise round it. Vertices are taken in the order of their x, given by `place`; corners of one edge are never
 * a triangle. Of two at one x either side is first by turns: diagonals that all ran one way would take volume from what is twisted that way.
 */
export function zipChains(
  out: number[],
  right: readonly number[],
  left: readonly number[],
  place: (vertex: number) => number,
): void {
  out.push(right[0], right[1], left[1]);
  let [r, l] = [1, 1];
  const [lastR, lastL] = [right.length - 1, left.length - 1];
  while (r < lastR || l < lastL) {
    // The last corner, which both have, comes when nothing else is left.
    const nextR = r + 1 < lastR ? place(right[r + 1]) : Infinity;
    const nextL = l + 1 < lastL ? place(left[l + 1]) : Infinity;
    const isRight = nextR === nextL ? (r + l) % 4 < 2 : nextR < nextL;
    if (r < lastR && (isRight || l === lastL)) {
      if (left[l] !== right[r + 1]) out.push(right[r], right[r + 1], left[l]);
      r++;
    } else {
      if (right[r] !== left[l + 1]) out.push(right[r], left[l + 1], left[l]);
      l++;
    }
  }
}
