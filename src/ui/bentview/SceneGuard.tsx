'use client';

import { useEffect, useRef, useState, type ReactNode, type RefObject } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { isOfGraphics, textOf } from '../Guarded';
import { useNotify } from '../state/app-context';

/** Milliseconds within which a scene that throws again is not built anew once more. */
const AGAIN = 5000;

/** Builds the scene anew by itself when something in it throws, and tells; what throws again at once is for the part of the page around it. */
export function SceneGuard({ children }: { children: ReactNode }) {
  const builtAt = useRef(-Infinity);
  return <ErrorBoundary fallbackRender={(props) => <Anew {...props} builtAt={builtAt} />}>{children}</ErrorBoundary>;
}

function Anew({ error, resetErrorBoundary, builtAt }: FallbackProps & { builtAt: RefObject<number> }) {
  const notify = useNotify();
  const [isLeft] = useState(() => isOfGraphics(error) || performance.now() - builtAt.current < AGAIN);
  useEffect(() => {
    if (isLeft) return;
    builtAt.current = performance.now();
    notify(`The picture broke off (${textOf(error)}) and was built anew. Nothing of the work is lost.`, { kind: 'warning' }); // prettier-ignore
    resetErrorBoundary();
  }, [isLeft, builtAt, error, notify, resetErrorBoundary]);
  if (isLeft) throw error;
  return null;
}
