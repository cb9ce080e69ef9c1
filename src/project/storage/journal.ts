import { z } from 'zod';
import { openProject } from '../project-file';
import type { Project } from '../schema';
import { loadProject, saveProject, type Ticket } from './projects';

/** Where among the browser's small things, which are written at once, the newest state of a project is that was not kept yet. */
const PREFIX = 'rattan-unsaved:';

/** Absent where a browser keeps nothing, or may not. */
function room(): Storage | undefined {
  try {
    return typeof localStorage === 'undefined' ? undefined : localStorage;
  } catch {
    return undefined;
  }
}

const entrySchema = z.object({ writer: z.string(), at: z.number(), project: z.unknown() });

/** Notes the newest state of a project when its page ends, for what is under way then may never be done. Too large ones are not noted. */
export function noteUnsaved({ id, writer }: Ticket, project: Project): void {
  try {
    room()?.setItem(PREFIX + id, JSON.stringify({ writer, at: Date.now(), project }));
  } catch {
    // there is no room for it
  }
}

/** It is kept now. */
export const dropNote = (id: string): void => room()?.removeItem(PREFIX + id);

/** Keeps what pages had noted when they ended, unless another tab has had the project since or it was kept after all. */
export async function takeUpNotes(): Promise<void> {
  const notes = room();
  for (const key of Object.keys(notes ?? {}).filter((own) => own.startsWith(PREFIX))) {
    const id = key.slice(PREFIX.length);
    await takeUp(id, notes!.getItem(key) ?? '').catch(() => undefined); // one note stands in no other's way
    dropNote(id);
  }
}

async function takeUp(id: string, text: string): Promise<void> {
  const { writer, at, project } = entrySchema.parse(JSON.parse(text));
  const [noted, kept] = [openProject(project), await loadProject(id)];
  if (noted.ok && kept.ok && kept.value.writer === writer && kept.value.savedAt <= at)
    await saveProject({ id, writer }, noted.value);
}
