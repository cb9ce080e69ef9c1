import { useEffect, useRef } from 'react';
import type { ToolName } from '../state/session-store';

/** The view takes the focus with the pen, so that Enter and arrows are the pen's and not the button's that was pressed last. */
export function usePenFocus(tool: ToolName) {
  const ref = useRef<HTMLElement>(null);
  useEffect(() => {
    if (tool === 'pen') ref.current?.focus({ preventScroll: true });
  }, [tool]);
  return ref;
}
