import type { RowMenuItem } from '../ticket/RowMenu';

/** Something that can be done, with where it is found on the screen and its key. */
export interface Command {
  readonly label: string;
  readonly where: string;
  readonly keyName?: string;
  readonly act: () => void;
}

export const command = (label: string, where: string, act: () => void, keyName?: string): Command => ({
  ...{ label, where, act },
  ...(keyName !== undefined && { keyName }),
});

/** What a menu offers just now, each with what it is done to. */
export const commandsOf = (items: readonly RowMenuItem[], to: string, where: string): readonly Command[] =>
  items.flatMap((item) =>
    item === 'line' || item.isOff ? [] : [command(`${to}: ${item.label}`, where, item.act, item.hotkey)],
  );
