import { useEffect } from 'react';
import type { Path } from '../../project/schema';
import { useApp, useNotify } from './app-context';

/** Says when an edit let go of an end that was plugged in: by moving it, by closing its path, or by taking away what it was plugged into. */
export function usePlugNotice(): void {
  const notify = useNotify();
  const { document } = useApp();
  useEffect(
    () =>
      document.subscribe(({ project }, { project: before }) => {
        if (project.paths === before.paths) return;
        for (const path of project.paths) {
          const old = before.paths.find(({ id }) => id === path.id);
          if (old && plugCount(path) < plugCount(old))
            notify(`${path.name.slice(0, 80)}: an end is no longer plugged in.`);
        }
      }),
    [document, notify],
  );
}

const plugCount = ({ plugs }: Path): number => (plugs?.start ? 1 : 0) + (plugs?.end ? 1 : 0);
