import DeleteOutlineRounded from '@mui/icons-material/DeleteOutlineRounded';
import { useState, type MouseEvent } from 'react';
import type { Guide } from '../../project/schema';
import { useApp, useSession } from '../state/app-context';
import { ListRow } from '../ticket/ListRow';
import { NameField } from '../ticket/NameField';
import { RowButton } from '../ticket/RowButton';
import type { RowMenuItem } from '../ticket/RowMenu';
import { ShowButton } from '../ticket/ShowButton';
import { guideMenu } from './guide-menu';
import type { GuideActions } from './use-guide-actions';

/** A guide of the list: a double click beside its name frames it. */
export function GuideRow({ guide, actions }: { guide: Guide; actions: GuideActions }) {
  const { session } = useApp();
  const isChosen = useSession((s) => s.guide === guide.id);
  const isMore = useSession((s) => s.moreGuides.includes(guide.id));
  const [isRenamed, setRenamed] = useState(false);
  const menu: readonly RowMenuItem[] = [{ label: 'Rename', act: () => setRenamed(true) }, ...guideMenu(guide, actions)];
  return (
    <ListRow
      id={guide.id}
      isSelected={isChosen || isMore}
      isRenamed={isRenamed}
      look={{ height: 30, indent: guide.folder === undefined ? 4 : 6, hasBar: isChosen }}
      button={{
        'aria-pressed': isChosen || isMore,
        onClick: (event: MouseEvent) => actions.choose(guide.id, event.ctrlKey || event.metaKey),
        onDoubleClick: () => {
          session.getState().set({ guide: guide.id });
          session.getState().frame('chosen');
        },
      }}
      menu={menu}
      end={{
        figure: '',
        hasButtons: !guide.visible,
        buttons: (
          <>
            <ShowButton name={guide.name} isShown={guide.visible} onClick={() => actions.show(guide)} />
            <RowButton
              label={`Delete ${guide.name}`}
              icon={<DeleteOutlineRounded />}
              onClick={() => actions.remove(guide.id)}
            />
          </>
        ),
      }}
    >
      <NameField
        name={guide.name}
        label="Name of the guide"
        isFaint={!guide.visible}
        isRenamed={isRenamed}
        onRename={setRenamed}
        onName={(name) => actions.rename(guide.id, name)}
      />
    </ListRow>
  );
}
