import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import type { ComputeClient } from '../../engine/compute-client';
import { causeway } from '../../project/samples';
import type { Project } from '../../project/schema';
import { Notices } from '../Notices';
import { Lens } from '../pictures/lens';
import { Answers } from '../state/answers';
import { AppContext, type AppServices } from '../state/app-context';
import { createDocumentStore } from '../state/document-store';
import { createFoldsStore } from '../state/folds-store';
import type { Keeper } from '../state/keeper';
import { createKitsStore } from '../state/kits-store';
import { createLanesStore } from '../state/lanes-store';
import { createPictureStore } from '../state/picture-store';
import { createResultsStore } from '../state/results-store';
import { createSessionStore } from '../state/session-store';
import { tellIn } from '../state/tell';

/** An app without a page: its stores, and a worker that answers as it is told. */
export function app(api: object = {}, opened: Project = causeway()) {
  const document = createDocumentStore();
  document.getState().open(opened);
  const call = (work: (a: object) => Promise<unknown>) => work(api);
  const session = createSessionStore();
  const services: AppServices = {
    ...{ document, session, results: createResultsStore(), keeper: {} as Keeper, tell: tellIn(session) },
    viewer: {} as ComputeClient,
    baker: { call } as unknown as ComputeClient,
    lens: new Lens(),
    lanes: createLanesStore(),
    kits: createKitsStore(),
    folds: createFoldsStore(),
    pictures: new Answers(9),
    surfaces: new Answers(9),
    picture: createPictureStore(),
  };
  const wrapper = ({ children }: { children: ReactNode }) => (
    <AppContext value={services}>
      {children}
      <Notices />
    </AppContext>
  );
  const hook = <T,>(use: () => T) => renderHook(use, { wrapper }).result;
  /** Does what a hook gives, once. */
  const done = <T,>(use: () => T, does: (hooked: T) => void) => {
    const { current } = hook(use);
    act(() => does(current));
  };
  return { ...services, hook, done, project: () => document.getState().project };
}

/** All that is on the page. */
export const said = () => globalThis.document.body.textContent;
