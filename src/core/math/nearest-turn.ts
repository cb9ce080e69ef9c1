/** `angle` and as many whole turns as come nearest to `about`, radians. */
export const nearestTurn = (angle: number, about: number): number =>
  angle + 2 * Math.PI * Math.round((about - angle) / (2 * Math.PI));
