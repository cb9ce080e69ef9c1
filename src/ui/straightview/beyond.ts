/** Pixels that a key is pulled before it moves along either way. */
const SLACK = 4;

/** Of so many pixels those beyond the slack, so that a press that shakes moves nothing. */
export const beyond = (pixels: number): number => Math.sign(pixels) * Math.max(Math.abs(pixels) - SLACK, 0);
