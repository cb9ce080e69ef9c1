import { freeFolder, moveItems, putInFolder } from '../../project/commands/folders';
import { changeGuide, deleteGuide } from '../../project/commands/guides';
import type { Guide, Project } from '../../project/schema';
import { useApp } from '../state/app-context';
import { meantBy, toggled } from '../state/chosen-ids';

/** What can be done to guides of the list: to all that are chosen, when the one that is meant is among them. */
export function useGuideActions() {
  const { document, session } = useApp();
  const all = (): readonly string[] => {
    const { guide, moreGuides } = session.getState();
    return guide ? [guide, ...moreGuides] : [];
  };
  const chosen = (id: string) => meantBy(all(), id);
  const edit = (change: (project: Project) => Project) => document.getState().edit(change);
  return {
    choose: (id: string, isMore: boolean) => {
      const isOnlyOne = all().length === 1 && all()[0] === id;
      const next = isMore ? toggled(all(), id) : isOnlyOne ? [] : [id];
      session.getState().set({ guide: next[0], moreGuides: next.slice(1), point: undefined });
    },
    rename: (id: string, name: string) => {
      if (name.trim() !== '') edit((project) => changeGuide(project, id, { name: name.trim().slice(0, 200) }));
    },
    show: ({ id, visible }: Guide) =>
      edit((project) => chosen(id).reduce((made, own) => changeGuide(made, own, { visible: !visible }), project)),
    move: (id: string, to: string) => edit((project) => moveItems(project, 'guides', chosen(id), to)),
    group: (id: string) => edit((project) => putInFolder(project, 'guides', chosen(id), freeFolder(project, 'guides'))),
    ungroup: (id: string) => edit((project) => putInFolder(project, 'guides', chosen(id), undefined)),
    remove: (id: string) => {
      const gone = chosen(id);
      edit((project) => gone.reduce(deleteGuide, project));
      if (gone.includes(session.getState().guide ?? '')) session.getState().set({ guide: undefined });
    },
  };
}

export type GuideActions = ReturnType<typeof useGuideActions>;
