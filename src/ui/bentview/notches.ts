/** What browsers report for a notch: pixels, lines or pages. */
const PER_NOTCH = [100, 3, 1];
/** A pinch on a trackpad comes as a wheel with Ctrl and small steps: so many pixels are as a notch. */
const PINCH = 10;
/** Some wheels report several notches at once; more than this would throw the picture away. */
const MOST_NOTCHES = 4;

/** How many notches a turn of the wheel is, or a movement on a trackpad. */
export function notches({ deltaY, deltaMode, ctrlKey }: Pick<WheelEvent, 'deltaY' | 'deltaMode' | 'ctrlKey'>): number {
  const isPinch = ctrlKey && deltaMode === 0 && Math.abs(deltaY) < 50;
  return Math.min(Math.abs(deltaY) / (isPinch ? PINCH : PER_NOTCH[deltaMode]), MOST_NOTCHES);
}
