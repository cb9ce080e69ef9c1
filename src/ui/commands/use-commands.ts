import type { Command } from './command';
import { useAddCommands } from './use-add-commands';
import { useGuideCommands } from './use-guide-commands';
import { useLookCommands } from './use-look-commands';
import { usePathCommands } from './use-path-commands';
import { useRunCommands } from './use-run-commands';
import { useScreenCommands } from './use-screen-commands';

/** All that can be done just now by one act. */
export const useCommands = (): readonly Command[] => [
  ...useScreenCommands(),
  ...useLookCommands(),
  ...useRunCommands(),
  ...usePathCommands(),
  ...useAddCommands(),
  ...useGuideCommands(),
];
