'use client';

import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useStore } from 'zustand';
import type { Picture } from '../../core/mesh/draw-mesh';
import type { PlainSurface } from '../../engine/compute-api';
import { ComputeClient } from '../../engine/compute-client';
import { startSaver } from '../../engine/saver';
import { partsOf } from '../../core/layout/course-parts';
import { courseOf, type Course, type Run, type Segment } from '../../project/schema';
import { Lens } from '../pictures/lens';
import { Answers } from './answers';
import { ComputeLoop } from './compute-loop';
import { endGestures } from './end-gestures';
import { createDocumentStore, type DocumentState, type DocumentStore } from './document-store';
import { Keeper } from './keeper';
import {
  courseView,
  createResultsStore,
  type ResultsState,
  type ResultsStore,
  type RunResult,
  type CourseView,
} from './results-store';
import { createFoldsStore, type FoldsStore } from './folds-store';
import { createKitsStore, type KitsState, type KitsStore } from './kits-store';
import { createLanesStore, type LanesStore } from './lanes-store';
import { createPictureStore, type PictureState, type PictureStore } from './picture-store';
import { CRASHED, tellIn, type Tell } from './tell';
import { chosenPoints, createSessionStore, type SessionState, type SessionStore } from './session-store';

/** The stores and services of one mounted app. */
export interface AppServices {
  readonly document: DocumentStore;
  readonly session: SessionStore;
  readonly results: ResultsStore;
  readonly keeper: Keeper;
  readonly tell: Tell;
  /** Works out what is shown. */
  readonly viewer: ComputeClient;
  /** For long work: reading a mesh, baking. The view has a worker of its own. */
  readonly baker: ComputeClient;
  readonly lens: Lens;
  readonly lanes: LanesStore;
  readonly kits: KitsStore;
  readonly folds: FoldsStore;
  /** Small pictures and looks that were worked out. */
  readonly pictures: Answers<Picture>;
  readonly surfaces: Answers<PlainSurface>;
  readonly picture: PictureStore;
}

export const AppContext = createContext<AppServices | undefined>(undefined);

/** Starts the services when the page is there, and shows `children` once the last project is open. */
export function AppProvider({ children, fallback }: { children: ReactNode; fallback: ReactNode }) {
  const [services, setServices] = useState<AppServices>();
  useEffect(() => {
    const document = createDocumentStore();
    const session = createSessionStore();
    const results = createResultsStore();
    const tell = tellIn(session);
    const saver = startSaver();
    const keeper = new Keeper(document, session, saver.save);
    const viewer = new ComputeClient();
    const baker = new ComputeClient();
    const stopTime = session.subscribe(({ time }) => document.getState().goTo(time ?? null));
    const loop = new ComputeLoop({ document, session, results }, viewer, () => tell.problems([CRASHED]));
    const stopEnding = endGestures(document);
    let isLive = true;
    keeper.start().then(
      (trouble) => {
        if (!isLive) return;
        tell.problems(trouble);
        setServices({
          document,
          session,
          results,
          keeper,
          tell,
          viewer,
          baker,
          lens: new Lens(),
          lanes: createLanesStore(),
          kits: keptKits(),
          folds: createFoldsStore(),
          pictures: new Answers(200),
          surfaces: new Answers(40),
          picture: createPictureStore(),
        });
      },
      (error: unknown) => session.getState().notify(String(error), { kind: 'error', stays: true }),
    );
    return () => {
      isLive = false;
      stopTime();
      stopEnding();
      loop.close();
      void keeper.close().then(saver.close);
      viewer.close();
      baker.close();
    };
  }, []);
  return services ? <AppContext value={services}>{children}</AppContext> : fallback;
}

/** The shelf of kits, read once; where nothing can be kept it stays empty, which the keeper tells. */
function keptKits(): KitsStore {
  const kits = createKitsStore();
  kits
    .getState()
    .refresh()
    .catch(() => undefined);
  return kits;
}

export function useApp(): AppServices {
  const services = useContext(AppContext);
  if (!services) throw new Error('useApp: there is no AppProvider above');
  return services;
}

export const useProject = <T,>(select: (state: DocumentState) => T): T => useStore(useApp().document, select);
export const useSession = <T,>(select: (state: SessionState) => T): T => useStore(useApp().session, select);
/** Whether something is folded open, and how to fold it; remembered by its name. */
export function useFold(name: string, isOpenAtFirst = false): readonly [boolean, (isOpen: boolean) => void] {
  const { folds } = useApp();
  const isOpen = useStore(folds, (s) => s.open[name] ?? isOpenAtFirst);
  return [isOpen, (next) => folds.getState().setOpen(name, next)];
}

export const useKits = <T,>(select: (state: KitsState) => T): T => useStore(useApp().kits, select);
export const usePicture = <T,>(select: (state: PictureState) => T): T => useStore(useApp().picture, select);
export const useResults = <T,>(select: (state: ResultsState) => T): T => useStore(useApp().results, select);
export const useEdit = (): DocumentState['edit'] => useApp().document.getState().edit;
export const useNotify = (): SessionState['notify'] => useApp().session.getState().notify;
export const useSet = (): SessionState['set'] => useApp().session.getState().set;

/** The chosen points of the selected run's path, the one whose numbers are shown first. */
export function useChosen(): readonly number[] {
  const point = useSession((s) => s.point);
  const more = useSession((s) => s.more);
  return useMemo(() => chosenPoints({ point, more }), [point, more]);
}

/** The selected run, or undefined in an empty project. */
export function useRun(): Run | undefined {
  const id = useSession((s) => s.run);
  return useProject((s) => s.project.runs.find((run) => run.id === id) ?? s.project.runs[0]);
}

export function useRunResult(id: string | undefined): RunResult | undefined {
  return useResults((s) => (id === undefined ? undefined : s.results.get(id)));
}

/** The course of the selected run that is shown. */
export function useCourse(): Course | undefined {
  const run = useRun();
  const course = useSession((s) => s.course);
  return run && courseOf(run, course);
}

/** The segment that is shown: one of the course's, its first where none is chosen. */
export function useSegment(): Segment | undefined {
  const course = useCourse();
  const chosen = useSession((s) => s.segment);
  const id = course && (partsOf(course).find((own) => own === chosen) ?? course.segment);
  return useProject((s) => s.project.segments.find((segment) => segment.id === id));
}

/** The selected run as the course of it that is shown. */
export function useCourseView(): CourseView | undefined {
  const result = useRunResult(useRun()?.id);
  const course = useSession((s) => s.course);
  return useMemo(() => result && courseView(result, course), [result, course]);
}

/** Brackets of a gesture that is to be one step of undo. */
export function useGesture(): { begin(): void; end(): void } {
  const { document } = useApp();
  return useMemo(
    () => ({ begin: () => document.getState().beginGesture(), end: () => document.getState().endGesture() }),
    [document],
  );
}
