import { useColorScheme, useTheme } from '@mui/material/styles';
import { useMemo } from 'react';
import { placeOf } from '../../project/commands/place';
import { PLACE_DEFAULTS, type PlaceSpec } from '../../project/place-spec';
import { usePicture, useProject } from '../state/app-context';
import { skyLight, sunDirection, tableLight, type SkyLight } from './sky-light';

export interface Place extends PlaceSpec {
  readonly isDark: boolean;
  /** All of it is shown, not just what one works on. */
  readonly isShown: boolean;
  readonly light: SkyLight;
  /** Towards the sun. */
  readonly towards: readonly [number, number, number];
}

/** The light over what lies on the table, wherever the project's runs stand. */
export function useTable(): Place {
  const isDark = useDark();
  return useMemo(() => made(PLACE_DEFAULTS, isDark, false), [isDark]);
}

/** Whether the dark theme is on. */
export function useDark(): boolean {
  const { mode } = useColorScheme();
  const theme = useTheme();
  return (mode ?? theme.palette.mode) === 'dark';
}

const made = (own: PlaceSpec, isDark: boolean, isShown: boolean): Place => ({
  ...own,
  ...{
    isDark,
    isShown,
    light: isShown ? skyLight(own.sun.height, isDark) : tableLight(isDark),
    towards: sunDirection(own.sun),
  },
});

/** Where the runs stand, as the theme and the kind of picture have it. */
export function usePlace(): Place {
  const place = useProject((s) => s.project.place);
  const isShown = usePicture((s) => s.picture) === 'show';
  const isDark = useDark();
  return useMemo(() => made(placeOf({ place }), isDark, isShown), [place, isDark, isShown]);
}
