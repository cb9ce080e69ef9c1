import { playedOf } from '../../core/motion/time-spec';
import type { DocumentStore } from './document-store';
import type { SessionStore } from './session-store';

/** Plays on from the moment that is shown, or stops; from the finished state and from the end of what is played it begins anew. */
export function playOrStop(document: DocumentStore, session: SessionStore): void {
  const { isPlaying, time, set } = session.getState();
  const { from, to } = playedOf(document.getState().project.time);
  set(isPlaying ? { isPlaying: false } : { isPlaying: true, time: time === undefined || time >= to ? from : time });
}
