'use client';

import { Fragment, type ReactNode } from 'react';
import { foldered, type FolderedList } from '../../project/commands/folders';
import { useApp, useFold } from '../state/app-context';
import { FolderHead } from './FolderHead';

interface Item {
  readonly id: string;
  readonly name: string;
  readonly visible: boolean;
  readonly folder?: string | undefined;
}

export interface FolderedRowsProps<T extends Item> {
  readonly list: FolderedList;
  readonly items: readonly T[];
  /** Words that names have to hold; while there are any, all folders are open. */
  readonly wanted: string;
  readonly row: (item: T) => ReactNode;
}

/** The rows of a list in their folders. */
export function FolderedRows<T extends Item>({ list, items, wanted, row }: FolderedRowsProps<T>) {
  const word = wanted.trim().toLowerCase();
  const found = word === '' ? items : items.filter(({ name }) => name.toLowerCase().includes(word));
  return foldered(found).map((own) =>
    'item' in own ? (
      <Fragment key={own.item.id}>{row(own.item)}</Fragment>
    ) : (
      <Folder key={`folder ${own.folder}`} list={list} {...own} row={row} isSought={word !== ''} />
    ),
  );
}

interface FolderProps<T extends Item> extends Pick<FolderedRowsProps<T>, 'list' | 'items' | 'row'> {
  readonly folder: string;
  readonly isSought: boolean;
}

function Folder<T extends Item>({ list, folder, items, row, isSought }: FolderProps<T>) {
  const { session } = useApp();
  const project = session.getState().projectId ?? '';
  const [isKeptOpen, setOpen] = useFold(`${project} ${list} ${folder}`, list === 'runs');
  const isOpen = isKeptOpen || isSought;
  return (
    <>
      <FolderHead {...{ list, folder, items, isOpen }} onToggle={() => setOpen(!isOpen)} />
      {isOpen && items.map((item) => <Fragment key={item.id}>{row(item)}</Fragment>)}
    </>
  );
}
