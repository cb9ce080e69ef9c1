import { editPiece } from '../../project/commands/courses';
import type { Course, Project, Run } from '../../project/schema';
import type { RowMenuItem } from '../ticket/RowMenu';

/** What is said of a piece when nothing is said of it beside the others. */
export const AS_LAID = { hidden: undefined, body: undefined, along: 0, up: 0, side: 0, turn: 0 } as const;

/** What a right click on a piece offers, wherever that is. */
export function pieceMenu(
  edit: (change: (project: Project) => Project) => void,
  run: Run,
  course: Course,
  piece: number,
): readonly RowMenuItem[] {
  const own = course.laying.pieces.find((each) => each.piece === piece);
  const put = (change: typeof AS_LAID | { hidden: true | undefined }) =>
    edit((project) => editPiece(project, { run: run.id, course: course.id }, piece, change));
  const [isOff, hidden] = [course.locked, own?.hidden === true];
  return [
    { label: hidden ? `Show piece ${piece + 1}` : `Hide piece ${piece + 1}`, act: () => put({ hidden: hidden ? undefined : true }), isOff }, // prettier-ignore
    ...(own ? [{ label: 'Lay it as the others', act: () => put(AS_LAID), isOff }] : []),
  ];
}
