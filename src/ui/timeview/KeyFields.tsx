'use client';

import { Box, Button, Typography } from '@mui/material';
import { frameBeside } from '../../core/motion/clock';
import { keyAt, type KeyValue } from '../../core/motion/keys';
import { changeKey, deleteKeys, keysOf, moveKeys } from '../../project/commands/keys';
import { ColourField } from '../fields/ColourField';
import { EasingField } from '../fields/EasingField';
import { NumberField } from '../fields/NumberField';
import { PlaceField } from '../fields/PlaceField';
import { plural } from '../format';
import { useEdit, useProject, useSession, useSet } from '../state/app-context';
import { keyedWords } from './keyed-words';

const WIDTH = 248;

/** The chosen key in numbers; of several their pace. Its room is kept, so that the lanes do not move under the pointer. */
export function KeyFields() {
  return (
    <Box
      component="section"
      aria-label="Key"
      sx={{
        ...{ width: WIDTH, flex: 'none', height: '100%', overflowY: 'auto', px: 3, py: 2 },
        ...{ borderLeft: '1px solid', borderColor: 'divider' },
      }}
    >
      <ChosenKeys />
    </Box>
  );
}

function ChosenKeys() {
  const edit = useEdit();
  const set = useSet();
  const project = useProject((s) => s.stored);
  const chosen = useSession((s) => s.keys).filter(({ of, at }) => keyAt(keysOf(project, of), at));
  if (chosen.length === 0) {
    return (
      <Typography variant="body2" color="text.secondary">
        Choose a key to see its numbers; with Shift one more. In a lane a double click sets one.
      </Typography>
    );
  }
  const [first] = chosen;
  const key = keyAt(keysOf(project, first.of), first.at)!;
  const words = keyedWords(project, first.of);
  const isOne = chosen.length === 1;
  const put = (value: KeyValue) => edit((own) => changeKey(own, first, { value }));
  const move = (to: number) =>
    edit((own) => {
      const moved = moveKeys(own, chosen, frameBeside(to, 0, own.time) - first.at);
      set({ keys: moved.chosen });
      return moved.project;
    });
  const isLast = keysOf(project, first.of).at(-1)!.at === first.at;
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between' }}>
        <Typography sx={{ fontWeight: 650 }} noWrap>
          {isOne ? words.name : plural(chosen.length, 'key')}
        </Typography>
        <Button
          variant="text"
          color="secondary"
          onClick={() => {
            edit((own) => deleteKeys(own, chosen));
            set({ keys: [] });
          }}
        >
          Delete
        </Button>
      </Box>
      {isOne && (
        <>
          <NumberField
            label="At"
            quantity="time"
            step={1 / project.time.framesPerSecond}
            min={0}
            max={3600}
            value={first.at}
            onChange={move}
          />
          {typeof key.value === 'string' && <ColourField label="Colour" value={key.value} onChange={put} />}
          {typeof key.value === 'number' && (
            <NumberField
              label="Is"
              quantity={words.quantity}
              step={words.quantity === 'angle' ? Math.PI / 180 : 0.1}
              value={key.value}
              onChange={put}
            />
          )}
          {typeof key.value === 'object' && (
            <PlaceField
              label={words.name}
              quantity={words.quantity === 'angle' ? 'angle' : 'length'}
              value={key.value}
              onChange={put}
            />
          )}
        </>
      )}
      {!(isOne && isLast) && (
        <EasingField
          label="Then"
          value={key.easing}
          onChange={(easing) => edit((own) => chosen.reduce((made, place) => changeKey(made, place, { easing }), own))}
        />
      )}
    </>
  );
}
