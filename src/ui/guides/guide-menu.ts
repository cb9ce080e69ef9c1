import type { Guide } from '../../project/schema';
import type { RowMenuItem } from '../ticket/RowMenu';
import type { GuideActions } from './use-guide-actions';

/** What a right click on a guide offers, wherever that is. */
export const guideMenu = (guide: Guide, actions: GuideActions): readonly RowMenuItem[] => [
  { label: 'Put into a new folder', act: () => actions.group(guide.id) },
  ...(guide.folder === undefined ? [] : [{ label: 'Take out of its folder', act: () => actions.ungroup(guide.id) }]),
  'line',
  { label: guide.visible ? 'Hide' : 'Show', act: () => actions.show(guide) },
  { label: 'Delete', act: () => actions.remove(guide.id) },
];
