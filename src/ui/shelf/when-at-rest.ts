import type { AppServices } from '../state/app-context';

/** Milliseconds for which nothing has moved. */
const REST = 2000;
/** Of the page: whatever somebody does with hands. */
const HANDS = ['pointerdown', 'pointerup', 'pointercancel', 'wheel', 'keydown'] as const;

/** What moves the picture, or ends something that did. */
const MOVES = ['time', 'isDragging', 'isPlaying', 'save', 'framing', 'view', 'lookFrom', 'ride', 'held'] as const;

/**
 * Calls `act` whenever nothing has moved, nothing is worked out, played or ridden and no pointer is down for two seconds; `act` may
 * ask to be called again after so many milliseconds, if all is at rest then. Gives the way to end it.
 */
export function whenAtRest(
  { document, session, results }: Pick<AppServices, 'document' | 'session' | 'results'>,
  act: () => number | undefined,
): () => void {
  const down = new Set<number>();
  let timer: ReturnType<typeof setTimeout> | undefined;
  const isBusy = (): boolean => {
    const { isDragging, isPlaying, ride } = session.getState();
    const isRiding = ride !== undefined && !ride.isHeld;
    return down.size > 0 || isDragging || isPlaying || isRiding || results.getState().busy.size > 0;
  };
  const wait = (milliseconds: number) => {
    clearTimeout(timer);
    timer = setTimeout(() => {
      const again = isBusy() ? REST : act();
      if (again !== undefined) wait(Math.max(again, REST));
    }, milliseconds);
  };
  const moved = () => wait(REST);
  const onHand = (event: Event) => {
    const { pointerId } = event as PointerEvent;
    if (event.type === 'pointerdown') down.add(pointerId);
    else if (event.type.startsWith('pointer')) down.delete(pointerId);
    moved();
  };
  const stops = [
    document.subscribe(moved),
    results.subscribe(moved),
    session.subscribe((state, before) => {
      if (MOVES.some((name) => state[name] !== before[name])) moved();
    }),
  ];
  for (const name of HANDS) window.addEventListener(name, onHand, { capture: true, passive: true });
  moved();
  return () => {
    clearTimeout(timer);
    for (const stop of stops) stop();
    for (const name of HANDS) window.removeEventListener(name, onHand, { capture: true });
  };
}
