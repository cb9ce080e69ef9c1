import type { ViewName } from '../state/session-store';

/** From where one looks. */
export const VIEWS: Readonly<Record<ViewName, string>> = { free: 'Free', above: 'Above', front: 'Front', side: 'Side' };
export const VIEW_NAMES = Object.keys(VIEWS) as readonly ViewName[];
