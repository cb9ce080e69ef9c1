import { useEffect, useState } from 'react';

/** Waits until nothing has been drawn for a while. */
export interface Rest {
  /** Does something after so many milliseconds, unless one waits anew or not at all any more. */
  begin(milliseconds: number, act: () => void): void;
  stop(): void;
}

export function useRest(): Rest {
  const [rest] = useState(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const stop = () => clearTimeout(timer);
    return {
      begin(milliseconds: number, act: () => void) {
        stop();
        timer = setTimeout(act, milliseconds);
      },
      stop,
    };
  });
  useEffect(() => rest.stop, [rest]);
  return rest;
}
