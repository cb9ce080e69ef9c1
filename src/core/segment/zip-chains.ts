/**
 * Fills a convex face with triangles between two chains of its outline that go on along x, `right` counter-clockwise and `left` clockwise round it;
 * they may share their first and last corners. Vertices are taken in the order of their x, given by `place`; those no farther apart than `near`
 * are at one x, and either side is first by turns, to begin with `left` where `turn` is 0: diagonals that all ran one way would take volume from what is
 * twisted that way.
 */
export function zipChains(
  out: number[],
  { right, left }: { readonly right: readonly number[]; readonly left: readonly number[] },
  place: (vertex: number) => number,
  { near, turn }: { readonly near: number; readonly turn: number },
): void {
  let [r, l, ties] = [0, 0, turn];
  const [lastR, lastL] = [right.length - 1, left.length - 1];
  while (r < lastR || l < lastL) {
    const ahead = (r < lastR ? place(right[r + 1]) : Infinity) - (l < lastL ? place(left[l + 1]) : Infinity);
    const isRight = Math.abs(ahead) <= near ? ties++ % 2 === 1 : ahead < 0;
    const next = isRight ? right[r + 1] : left[l + 1];
    // What both chains have is one corner.
    if (right[r] !== left[l] && next !== left[l] && next !== right[r]) out.push(right[r], next, left[l]);
    if (isRight) r++;
    else l++;
  }
}
