/** What a course is laid of: something for each of its segments. */
export interface CourseParts<T> {
  /** The first of the body; its head and tail, where it is cut in three, are laid once each. */
  readonly segment: T;
  /** Further segments of the body, by their letters: B, C. */
  readonly others: readonly T[];
  /** What is laid once at either end instead of the first segment's own head and tail, and what stands at joints. */
  readonly head?: T | undefined;
  readonly tail?: T | undefined;
  readonly joint?: T | undefined;
}

/** All that there are; one segment may be several of them. */
export const partsOf = <T>({ segment, others, head, tail, joint }: CourseParts<T>): readonly T[] =>
  [segment, ...others, head, tail, joint].filter((part) => part !== undefined);

export const mapParts = <T, U>(
  { segment, others, head, tail, joint }: CourseParts<T>,
  to: (part: T) => U,
): CourseParts<U> => ({
  segment: to(segment),
  others: others.map(to),
  ...(head !== undefined && { head: to(head) }),
  ...(tail !== undefined && { tail: to(tail) }),
  ...(joint !== undefined && { joint: to(joint) }),
});
