import { useEffect, useState } from 'react';

/** Milliseconds without another picture until one is drawn that takes its time. */
const REST = 250;

export interface Rest {
  /** The picture that is being drawn is the one for which it has waited. */
  isNow(): boolean;
  /** Waits for a rest from now on. */
  begin(): void;
}

/** Waits until nothing has been drawn for a moment, then asks for one more picture. */
export function useRest(invalidate: () => void): Rest & { stop(): void } {
  const [rest] = useState(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let isDue = false;
    return {
      isNow() {
        const was = isDue;
        isDue = false;
        clearTimeout(timer);
        return was;
      },
      begin() {
        clearTimeout(timer);
        timer = setTimeout(() => {
          isDue = true;
          invalidate();
        }, REST);
      },
      stop: () => clearTimeout(timer),
    };
  });
  useEffect(() => rest.stop, [rest]);
  return rest;
}
