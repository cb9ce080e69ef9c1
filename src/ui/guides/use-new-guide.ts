import { guideBody, type GuideShape } from '../../core/guides/guide-spec';
import { addGuide } from '../../project/commands/guides';
import { newId } from '../../project/new-id';
import { untaken } from '../../project/untaken';
import { useApp } from '../state/app-context';

/** Adds a guide at the origin, by a name of its own, and shows it. */
export function useNewGuide() {
  const { document, session } = useApp();
  return (label: string, shape: GuideShape): void => {
    const id = newId();
    const { project, edit } = document.getState();
    const taken = project.guides.map(({ name }) => name);
    const isOpen = shape.from === 'body' && guideBody(shape.kind).isOpen;
    edit((now) =>
      addGuide(now, {
        ...{ id, name: untaken(label, taken), visible: true, shape },
        ...{ position: [0, 0, 0], turn: [0, 0, 0], clearance: isOpen ? null : 0 },
      }),
    );
    session.getState().set({ guide: id, point: undefined });
    session.getState().frame('all');
  };
}
