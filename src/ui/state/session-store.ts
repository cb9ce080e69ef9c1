import { createStore, type StoreApi } from 'zustand';
import type { Finding } from '../../core/findings/finding';
import type { StepName } from './steps';

export type ViewName = 'free' | 'above' | 'front' | 'side';
export type ToolName = 'shape' | 'pen';

/** Where the project stands with the browser's storage. */
export type SaveState =
  | { readonly kind: 'saved'; readonly at: number }
  | { readonly kind: 'saving' }
  | { readonly kind: 'failed'; readonly reason: string }
  /** Another tab has the project: nothing is saved from here. */
  | { readonly kind: 'elsewhere' };

/** What the screen is about just now; not part of the project and not undone. */
export interface SessionState {
  readonly projectId: string | undefined;
  readonly run: string | undefined;
  readonly point: number | undefined;
  readonly step: StepName | undefined;
  readonly tool: ToolName;
  readonly view: ViewName;
  /** Counts up to ask the view to frame everything, or the selected run. */
  readonly framing: { readonly what: 'run' | 'all'; readonly count: number };
  /** Station in metres that the pointer is at, in either view. */
  readonly station: number | undefined;
  readonly finding: Finding | undefined;
  /** Seconds; undefined = the finished state. */
  readonly time: number | undefined;
  readonly isPlaying: boolean;
  readonly save: SaveState;
  readonly dialog: 'shelf' | 'export' | 'section' | 'prepare' | undefined;
  set(change: Partial<Omit<SessionState, 'set' | 'frame'>>): void;
  frame(what: 'run' | 'all'): void;
}

export type SessionStore = StoreApi<SessionState>;

export const createSessionStore = (): SessionStore =>
  createStore<SessionState>()((set) => ({
    projectId: undefined,
    run: undefined,
    point: undefined,
    step: 'path',
    tool: 'shape',
    view: 'free',
    framing: { what: 'run', count: 0 },
    station: undefined,
    finding: undefined,
    time: undefined,
    isPlaying: false,
    save: { kind: 'saving' },
    dialog: undefined,
    set,
    frame: (what) => set(({ framing }) => ({ framing: { what, count: framing.count + 1 } })),
  }));
