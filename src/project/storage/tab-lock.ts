/** Whether this tab is the one that may save a project. */
export interface TabLock {
  readonly isHeld: boolean;
  release(): void;
}

/**
 * Asks for the right to save a project; one tab has it at a time. `onLost` is called when another tab takes it over.
 * With `takeOver` the other tab loses it.
 */
export function lockProject(id: string, takeOver: boolean, onLost: () => void): Promise<TabLock> {
  return new Promise((resolve) => {
    let release = () => {};
    let isReleased = false;
    const held = new Promise<void>((end) => {
      release = () => {
        isReleased = true;
        end();
      };
    });
    const options = takeOver ? { steal: true } : { ifAvailable: true };
    navigator.locks
      .request(`rattan-project-${id}`, options, (lock) => {
        resolve({ isHeld: lock !== null, release });
        return lock ? held : undefined;
      })
      .catch(() => {
        if (!isReleased) onLost();
      });
  });
}
