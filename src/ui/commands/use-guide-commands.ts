import { GUIDE_BODIES } from '../../core/guides/guide-spec';
import { guideMenu } from '../guides/guide-menu';
import { useGuideActions } from '../guides/use-guide-actions';
import { useNewGuide } from '../guides/use-new-guide';
import { useApp, useProject } from '../state/app-context';
import { command, commandsOf, type Command } from './command';

/** Guides: new ones, and those that are there. */
export function useGuideCommands(): readonly Command[] {
  const { set, frame, guide: chosen } = useApp().session.getState();
  const guides = useProject((s) => s.project.guides);
  const actions = useGuideActions();
  const addGuide = useNewGuide();
  const guide = guides.find(({ id }) => id === chosen);
  return [
    ...GUIDE_BODIES.map(({ kind, label }) =>
      command(`Add a guide: ${label}`, 'Guides, +', () => addGuide(label, { from: 'body', kind, sizes: {} })),
    ),
    ...guides.map(({ id, name }) => command(`Choose the guide ${name}`, 'Guides', () => set({ guide: id, point: undefined }))), // prettier-ignore
    ...(guide
      ? [
          command(`Frame ${guide.name}`, 'Bent view', () => frame('chosen'), 'T'),
          ...commandsOf(guideMenu(guide, actions), guide.name, 'Guides, right click'),
        ]
      : []),
  ];
}
