'use client';

import { PLACE_DEFAULTS } from '../../project/place-spec';
import { Box, Divider, ToggleButton, ToggleButtonGroup, Tooltip, Typography } from '@mui/material';
import { PLAIN_FINISH } from '../../project/defaults';
import { placeOf, setPlace } from '../../project/commands/place';
import type { PlaceSpec } from '../../project/place-spec';
import type { PlainFinish } from '../../core/segment/finish/finish-spec';
import { Fold } from '../fields/Fold';
import { NumberField } from '../fields/NumberField';
import { PlainFinishFields } from '../fields/PlainFinishFields';
import { PopoverButton } from '../fields/PopoverButton';
import { SwitchField } from '../fields/SwitchField';
import { quantityText } from '../fields/quantity';
import { useApp, useEdit, usePicture, useProject } from '../state/app-context';
import type { PictureName } from '../state/picture-store';
import { PICTURE_NAMES, PICTURES } from './pictures';

const SAND: PlainFinish = { ...PLAIN_FINISH, colour: '#b8a988', repeat: 4, texture: { from: 'pattern', pattern: 'sand', seed: 1, contrast: 0.4 } }; // prettier-ignore
const MIST = 200;
/** Metres: the level of water to begin with. */
const WATER = -0.2;

/** How the view is drawn, and in what light and place. */
export function PictureMenu() {
  const { picture: store } = useApp();
  const picture = usePicture((s) => s.picture);
  const isFine = usePicture((s) => s.isFine);
  const stored = useProject((s) => s.project.place);
  const edit = useEdit();
  const place = placeOf({ place: stored });
  const put = (change: Partial<PlaceSpec>) => edit((project) => setPlace(project, change));
  const { sun, mist, ground, groundHeight, water } = place;
  const heights = { quantity: 'length', step: 0.05, min: -1e5, max: 1e5 } as const;
  return (
    <PopoverButton
      name="Picture"
      label={PICTURES[picture].label}
      hint="How the view is drawn: work, show, lines; light, mist, ground and water"
    >
      {() => (
        <>
          <ToggleButtonGroup
            exclusive
            fullWidth
            aria-label="Picture"
            value={picture}
            onChange={(_, next: PictureName | null) => next && store.getState().setPicture(next)}
          >
            {PICTURE_NAMES.map((value) => (
              <Tooltip key={value} describeChild title={PICTURES[value].hint}>
                <ToggleButton value={value}>{PICTURES[value].label}</ToggleButton>
              </Tooltip>
            ))}
          </ToggleButtonGroup>
          <Box sx={{ mt: 1 }}>
            <SwitchField
              label="Fine at rest: shadows, smooth edges"
              value={isFine}
              onChange={store.getState().setFine}
            />
          </Box>
          <Divider sx={{ my: 2 }} />
          <Typography variant="caption" color="text.secondary">
            Light
          </Typography>
          <NumberField
            label="Sun from (clockwise from north)"
            quantity="angle"
            step={Math.PI / 36}
            min={-7}
            max={7}
            value={sun.bearing}
            initial={PLACE_DEFAULTS.sun.bearing}
            onChange={(bearing) => put({ sun: { ...sun, bearing } })}
          />
          <NumberField
            label="Sun stands"
            quantity="angle"
            step={Math.PI / 90}
            min={0.02}
            max={Math.PI / 2}
            value={sun.height}
            initial={PLACE_DEFAULTS.sun.height}
            onChange={(height) => put({ sun: { ...sun, height } })}
          />
          <Box sx={{ mt: 2 }}>
            <Fold title="Mist" summary={mist === null ? 'clear' : `half is lost at ${quantityText(mist, 'length')}`}>
              <SwitchField
                label="There is mist"
                value={mist !== null}
                onChange={(on) => put({ mist: on ? MIST : null })}
              />
              {
                mist !== null &&
            <NumberField label="Half is lost at" quantity="length" step={5} min={1} max={1e6} value={mist} initial={MIST} onChange={(next) => put({ mist: next })} /> // prettier-ignore
              }
            </Fold>
            <Fold title="Ground" summary={ground ? ground.colour : 'plain'}>
              <SwitchField
                label="It looks like something"
                value={ground !== null}
                onChange={(on) => put({ ground: on ? SAND : null })}
              />
              {ground && <PlainFinishFields finish={ground} onChange={(next) => put({ ground: next })} />}
              <SwitchField
                label="Under all there is"
                value={groundHeight === null}
                onChange={(on) => put({ groundHeight: on ? null : 0 })}
              />
              {
                groundHeight !== null &&
            <NumberField label="Height" {...heights} value={groundHeight} initial={0} onChange={(next) => put({ groundHeight: next })} /> // prettier-ignore
              }
            </Fold>
            <Fold title="Water" summary={water === null ? 'none' : `at ${quantityText(water, 'length')}`}>
              <SwitchField
                label="There is water"
                value={water !== null}
                onChange={(on) => put({ water: on ? WATER : null })}
              />
              {water !== null && (
                <NumberField
                  label="Level"
                  {...heights}
                  value={water}
                  initial={WATER}
                  onChange={(next) => put({ water: next })}
                />
              )}
            </Fold>
          </Box>
        </>
      )}
    </PopoverButton>
  );
}
