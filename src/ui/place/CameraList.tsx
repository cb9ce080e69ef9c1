'use client';

import DeleteOutlined from '@mui/icons-material/DeleteOutlined';
import VideocamOutlined from '@mui/icons-material/VideocamOutlined';
import { Box, Button, IconButton, InputBase, Tooltip, Typography } from '@mui/material';
import { changeCamera, deleteCamera } from '../../project/commands/place';
import type { SavedCamera } from '../../project/place-spec';
import { useEdit, useProject } from '../state/app-context';
import { useLooking } from './use-looking';

const NONE: readonly SavedCamera[] = [];

/** The cameras that were kept: to look from, name anew, or take away. */
export function CameraList({ onLooked }: { onLooked: () => void }) {
  const cameras = useProject((s) => s.project.cameras ?? NONE);
  const { lookFrom, keep } = useLooking();
  const edit = useEdit();
  return (
    <>
      <Typography variant="caption" color="text.secondary">
        Cameras
      </Typography>
      <Box component="ul" aria-label="Cameras" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {cameras.map((camera) => {
          const { id, name } = camera;
          return (
            <Box key={id} component="li" sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
              <Tooltip title="Look from here">
                <IconButton
                  aria-label={`Look from ${name}`}
                  size="small"
                  onClick={() => {
                    lookFrom(camera);
                    onLooked();
                  }}
                >
                  <VideocamOutlined sx={{ fontSize: 18 }} />
                </IconButton>
              </Tooltip>
              <InputBase
                defaultValue={name}
                sx={{ flex: 1, fontSize: 13 }}
                inputProps={{ 'aria-label': 'Name of the camera', maxLength: 200 }}
                onBlur={({ target: { value } }) =>
                  value.trim() &&
                  value.trim() !== name &&
                  edit((project) => changeCamera(project, id, { name: value.trim() }))
                }
              />
              <Tooltip title="Take away">
                <IconButton
                  aria-label={`Take ${name} away`}
                  size="small"
                  onClick={() => edit((project) => deleteCamera(project, id))}
                >
                  <DeleteOutlined sx={{ fontSize: 16 }} />
                </IconButton>
              </Tooltip>
            </Box>
          );
        })}
      </Box>
      <Button
        size="small"
        variant="text"
        color="secondary"
        sx={{ mx: -2 }}
        onClick={keep}
        disabled={cameras.length >= 100}
      >
        Keep how I look now
      </Button>
    </>
  );
}
