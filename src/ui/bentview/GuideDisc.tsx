'use client';

import { changeGuide, deleteGuide } from '../../project/commands/guides';
import { useEdit, useGesture, useProject, useSession, useSet } from '../state/app-context';
import { PathPointDisc } from './PathPointDisc';
import type { Viewport } from './viewport';

/** Where the chosen guide is taken hold of. The others are locked. */
export function GuideDisc({ viewport }: { viewport: Viewport }) {
  const id = useSession((s) => s.guide);
  const view = useSession((s) => s.view);
  const guide = useProject((s) => s.project.guides.find((g) => g.id === id));
  const edit = useEdit();
  const set = useSet();
  const { begin, end } = useGesture();
  if (!guide?.visible) return null;
  return (
    <PathPointDisc
      viewport={viewport}
      view={view}
      shape="guide"
      label={`Guide ${guide.name}`}
      place={guide.position}
      isSelected
      on={{
        select: () => {},
        move: (position) => edit((project) => changeGuide(project, guide.id, { position })),
        begin,
        end,
        remove: () => {
          edit((project) => deleteGuide(project, guide.id));
          set({ guide: undefined });
        },
      }}
    />
  );
}
