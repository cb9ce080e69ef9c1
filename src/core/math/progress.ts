/** Called now and then with the share done, 0 to 1; may throw to stop the work. */
export type OnProgress = (share: number) => void;

/** Progress of one part of some work, that goes from `from` to `to` of the whole. */
export const partOf = (onProgress: OnProgress | undefined, from: number, to: number): OnProgress | undefined =>
  onProgress && ((share) => onProgress(from + (to - from) * share));
