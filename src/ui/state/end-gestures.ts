import type { DocumentStore } from './document-store';

/** What ends a drag, however it ends: a pointer that is cancelled or taken away, and a window that loses the focus, tell no component. */
const ENDS = ['pointerup', 'pointercancel', 'lostpointercapture', 'blur'] as const;

/** Whatever was dragged, its undo step ends with it: one left open would swallow those after it. Gives the way to stop. */
export function endGestures(document: DocumentStore): () => void {
  const end = () => document.getState().endGesture();
  for (const name of ENDS) window.addEventListener(name, end);
  return () => {
    for (const name of ENDS) window.removeEventListener(name, end);
  };
}
