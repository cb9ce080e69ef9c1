import { PICTURE_NAMES, PICTURES } from '../place/pictures';
import { useLooking } from '../place/use-looking';
import { VIEW_NAMES, VIEWS } from '../place/views';
import { useApp, useRun } from '../state/app-context';
import { command, type Command } from './command';

const LOOKING = 'Bent view, Looking';
const PICTURE = 'Bent view, Picture';

/** From where one looks, and how it is drawn. */
export function useLookCommands(): readonly Command[] {
  const { document, session, picture } = useApp();
  const run = useRun();
  const { lookFrom, keep, ride } = useLooking();
  const { set, frame, isFlat, ride: isRiding } = session.getState();
  const { isFine, setFine, setPicture } = picture.getState();
  return [
    command('Frame everything', 'Bent view', () => frame('all'), 'W'),
    ...(run ? [command(`Frame ${run.name}`, 'Bent view', () => frame('run'), 'T')] : []),
    ...VIEW_NAMES.map((view) => command(`View: ${VIEWS[view]}`, LOOKING, () => set({ view }))),
    command(isFlat ? 'Look with perspective' : 'Look without perspective', LOOKING, () => set({ view: 'free', isFlat: !isFlat })), // prettier-ignore
    ...(document.getState().project.cameras ?? []).map((camera) =>
      command(`Look from ${camera.name}`, LOOKING, () => lookFrom(camera)),
    ),
    command('Keep how I look now as a camera', LOOKING, keep),
    ...(run ? [command(`Ride along ${run.name}`, LOOKING, () => ride(run))] : []),
    ...(isRiding ? [command('End the ride', 'Bent view', () => set({ ride: undefined }))] : []),
    ...PICTURE_NAMES.map((name) => command(`Picture: ${PICTURES[name].label}`, PICTURE, () => setPicture(name))),
    command(isFine ? 'Draw coarsely at rest, too' : 'Draw finely at rest', PICTURE, () => setFine(!isFine)),
  ];
}
