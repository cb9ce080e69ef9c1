import { createStore, type StoreApi } from 'zustand';
import type { Finding } from '../../core/findings/registry';
import type { Vec3 } from '../../core/math/vec3';
import type { LaneSpec } from '../../core/shape/lane-spec';
import type { KeyPlace } from '../../project/commands/keys';
import type { LanePlace } from '../../project/commands/lanes';
import type { HeldState } from '../compare/held-state';
import type { StepName } from './steps';

export type ViewName = 'free' | 'above' | 'front' | 'side';
export type ToolName = 'shape' | 'choose' | 'pen' | 'freehand' | 'ring' | 'ruler';

/** What several chosen points are turned and scaled about. */
export type Pivot = 'middle' | 'first' | 'origin' | 'ruler' | 'own';

/** What dragged points catch on. */
export interface Snapping {
  /** Whole steps of so many metres; null = off. */
  readonly grid: number | null;
  /** Points of paths, and ends and sockets to plug into. */
  readonly points: boolean;
  /** Surfaces of guides, their faces' and edges' middles. */
  readonly guides: boolean;
  /** Metres that points keep from a guide's surface. */
  readonly clearance: number;
}

/** A place to look from and one to look at, metres. */
export interface Look {
  readonly position: Vec3;
  readonly target: Vec3;
  readonly count: number;
}

export interface Ride {
  readonly speed: number;
  readonly isHeld: boolean;
  /** Metres: where it is put; it goes on from there. */
  readonly station: number;
  /** Counts up when it is put somewhere. */
  readonly count: number;
}

/** Where the project stands with the browser's storage. */
export type SaveState =
  | { readonly kind: 'saved'; readonly at: number }
  | { readonly kind: 'saving' }
  | { readonly kind: 'failed'; readonly reason: string }
  /** Another tab has the project: nothing is saved from here. */
  | { readonly kind: 'elsewhere' };

/** What the screen is about just now; not part of the project and not undone. */
/** Something that people are told in passing. */
export interface Notice {
  readonly id: number;
  readonly text: string;
  readonly kind: 'plain' | 'warning' | 'error';
  /** It stays until it is put away. */
  readonly stays?: boolean;
  readonly action?: { readonly label: string; act(): void };
}

export interface SessionState {
  readonly projectId: string | undefined;
  readonly run: string | undefined;
  /** The course of it that is shown; absent = its first. None when another run is chosen. */
  readonly course: string | undefined;
  /** The piece of that course that is chosen. */
  readonly piece: number | undefined;
  /** The segment of that course that is shown; absent = the first of its body. */
  readonly segment: string | undefined;
  /** Runs chosen beside `run`; none when another one is chosen. */
  readonly moreRuns: readonly string[];
  readonly point: number | undefined;
  /** Points chosen beside `point`; none when another one is chosen. */
  readonly more: readonly number[];
  readonly guide: string | undefined;
  /** Guides chosen beside `guide`; none when another one is chosen. */
  readonly moreGuides: readonly string[];
  readonly pivot: Pivot;
  /** Where the pivot lies when it is at a place of its own. */
  readonly pivotPlace: Vec3;
  readonly snapping: Snapping;
  /** The two places between which the ruler lies. */
  readonly ruler: readonly Vec3[];
  /** Lines shown over the scene for the time being: what is about to be chosen. */
  readonly hint: readonly Vec3[];
  /** Only what is baked is shown: no points, no line, no grid. */
  readonly isResultOnly: boolean;
  /** Frames are shown along the path. */
  readonly comb: boolean;
  /** Metres: the side of a square of the ground's grid, as far or near as one looks. */
  readonly cell: number;
  readonly step: StepName | undefined;
  readonly tool: ToolName;
  readonly view: ViewName;
  /** Counts up to ask the view to frame everything, the selected run, or the chosen guide. */
  readonly framing: { readonly what: 'run' | 'all' | 'guide'; readonly count: number };
  /** Looked at without perspective, whichever way one looks. */
  readonly isFlat: boolean;
  /** A view that was asked for, by count. */
  readonly lookFrom: Look | undefined;
  /** The camera rides along the selected run, so many metres a second; undefined = it does not. */
  readonly ride: Ride | undefined;
  /** The graphics of the bent view are lost for the moment. */
  readonly isViewLost: boolean;
  /** Something in the bent view is being dragged. */
  readonly isDragging: boolean;
  /** Station in metres that the pointer is at, in either view. */
  readonly station: number | undefined;
  readonly finding: Finding | undefined;
  /** Seconds; undefined = the finished state. */
  readonly time: number | undefined;
  readonly isPlaying: boolean;
  /** What the straight view shows the run along: its length, or the time. */
  readonly along: 'length' | 'time';
  /** The chosen keys. */
  readonly keys: readonly KeyPlace[];
  /** The chosen keys of the selected run's lanes; none when another run is chosen. */
  readonly laneKeys: readonly LanePlace[];
  /** Metres: the station of the ring that turns and swells the run; absent = the middle of its reach. */
  readonly ring: number | undefined;
  /** A state held beside the present one; absent = none is. */
  readonly held: HeldState | undefined;
  /** A lane that was copied, and what its values are. */
  readonly copiedLane: { readonly quantity: string; readonly lane: LaneSpec } | undefined;
  readonly save: SaveState;
  readonly dialog:
    'shelf' | 'export' | 'section' | 'prepare' | 'bringPath' | 'keys' | 'pieces' | 'commands' | undefined;
  /** Those that are shown or wait to be, the oldest first. */
  readonly notices: readonly Notice[];
  set(change: SessionChange): void;
  /** Tells people something; what is being told already is not told twice. */
  notify(text: string, how?: Partial<Pick<Notice, 'kind' | 'stays' | 'action'>>): void;
  dismiss(notice: number): void;
  /** `chosen` = the guide, where one is chosen, else the run. */
  frame(what: 'run' | 'all' | 'chosen'): void;
}

type SessionChange = Partial<Omit<SessionState, 'set' | 'frame' | 'notify' | 'dismiss' | 'notices'>>;

export type SessionStore = StoreApi<SessionState>;

export const createSessionStore = (): SessionStore =>
  createStore<SessionState>()((set) => ({
    projectId: undefined,
    run: undefined,
    course: undefined,
    segment: undefined,
    piece: undefined,
    moreRuns: [],
    point: undefined,
    more: [],
    guide: undefined,
    moreGuides: [],
    pivot: 'middle',
    pivotPlace: [0, 0, 0],
    snapping: { grid: null, points: true, guides: true, clearance: 0 },
    ruler: [],
    hint: [],
    isResultOnly: false,
    comb: false,
    cell: 1,
    step: 'path',
    tool: 'shape',
    view: 'free',
    framing: { what: 'run', count: 0 },
    isFlat: false,
    lookFrom: undefined,
    ride: undefined,
    isViewLost: false,
    isDragging: false,
    station: undefined,
    finding: undefined,
    time: undefined,
    isPlaying: false,
    along: 'length',
    keys: [],
    laneKeys: [],
    ring: undefined,
    held: undefined,
    copiedLane: undefined,
    save: { kind: 'saving' },
    dialog: undefined,
    notices: [],
    notify: (text, how) =>
      set(({ notices }) => {
        if (notices.some((notice) => notice.text === text)) return {};
        return { notices: [...notices, { id: (notices.at(-1)?.id ?? 0) + 1, text, kind: 'plain', ...how }] };
      }),
    dismiss: (gone) => set(({ notices }) => ({ notices: notices.filter(({ id }) => id !== gone) })),
    set: (change) => set({ ...letGo(change), ...change }),
    frame: (what) =>
      set(({ framing, guide }) => ({
        framing: { what: what === 'chosen' ? (guide ? 'guide' : 'run') : what, count: framing.count + 1 },
      })),
  }));

/** What was chosen of something else than what is chosen now; what is said beside that stands. */
function letGo(change: Partial<SessionState>): Partial<SessionState> {
  const isOther = (...keys: readonly (keyof SessionState)[]) => keys.some((key) => key in change);
  return {
    ...(isOther('point') && { more: [] }),
    ...(isOther('guide') && { moreGuides: [] }),
    ...(isOther('run') && { moreRuns: [], laneKeys: [], ring: undefined, course: undefined }),
    ...(isOther('run', 'course') && { segment: undefined, piece: undefined }),
    ...(isOther('run', 'projectId', 'view') && { ride: undefined }),
    ...(isOther('projectId') && { held: undefined, lookFrom: undefined, isResultOnly: false }),
  };
}

/** The chosen points of the selected run's path, the one whose numbers are shown first. */
export const chosenPoints = ({ point, more }: Pick<SessionState, 'point' | 'more'>): readonly number[] =>
  point === undefined ? [] : [point, ...more];
