'use client';

import DeleteOutlineRounded from '@mui/icons-material/DeleteOutlineRounded';
import type { MouseEvent } from 'react';
import type { Run } from '../../project/schema';
import { metres } from '../format';
import { useApp, useRunResult } from '../state/app-context';
import { ListRow } from './ListRow';
import { NameField } from './NameField';
import { RowButton } from './RowButton';
import type { RowMenuItem } from './RowMenu';
import { ShowButton } from './ShowButton';
import { Swatch } from './Swatch';
import type { RunActions } from './use-run-actions';
import { useRunMenu } from './use-run-menu';

export interface RunRowProps {
  readonly run: Run;
  readonly isSelected: boolean;
  /** Chosen beside the selected one. */
  readonly isMore: boolean;
  readonly isRenamed: boolean;
  readonly onRename: (isRenamed: boolean) => void;
  readonly actions: RunActions;
}

/** A run of the list: a double click frames it. */
export function RunRow({ run, isSelected, isMore, isRenamed, onRename, actions }: RunRowProps) {
  const course = useRunResult(run.id)?.courses[0];
  const { session } = useApp();
  const menuOf = useRunMenu(actions);
  const menu: readonly RowMenuItem[] = [{ label: 'Rename', act: () => onRename(true), hotkey: 'F2' }, ...menuOf(run)];
  return (
    <ListRow
      id={run.id}
      isSelected={isSelected || isMore}
      isRenamed={isRenamed}
      look={{ height: 32, indent: run.folder === undefined ? 4 : 6, hasBar: isSelected }}
      button={{
        'aria-current': isSelected,
        'data-run': run.id,
        onClick: (event: MouseEvent) => actions.choose(run.id, event.ctrlKey || event.metaKey),
        onDoubleClick: () => session.getState().frame('run'),
      }}
      menu={menu}
      end={{
        figure: course ? metres(course.layout.reach.to - course.layout.reach.from) : '',
        hasButtons: !run.visible,
        buttons: (
          <>
            <ShowButton name={run.name} isShown={run.visible} onClick={() => actions.show(run)} />
            <RowButton
              label={`Delete ${run.name}`}
              icon={<DeleteOutlineRounded />}
              onClick={() => actions.remove(run.id)}
            />
          </>
        ),
      }}
    >
      <Swatch course={course} />
      <NameField
        name={run.name}
        label="Name of the run"
        isFaint={!run.visible}
        isRenamed={isRenamed}
        onRename={onRename}
        onName={(name) => actions.rename(run.id, name)}
      />
    </ListRow>
  );
}
