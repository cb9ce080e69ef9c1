'use client';

import ExpandMoreRounded from '@mui/icons-material/ExpandMoreRounded';
import { Button, Divider, ListItemText, Menu, MenuItem } from '@mui/material';
import { useState } from 'react';
import { PATH_WRITERS, type PathWriter } from '../../formats/paths/registry';
import { reverse, splitPath } from '../../project/commands/path-runs';
import { mirrorPath } from '../../project/commands/mirror';
import { joinPath } from '../../project/commands/paths';
import { newId } from '../../project/new-id';
import type { Path, Project } from '../../project/schema';
import { saveFiles } from '../save-file';
import { useApp, useNotify, useProject, useSession, useSet } from '../state/app-context';

/** Reversing, cutting, joining, and files of the path. */
export function MoreMenu({ path }: { path: Path }) {
  const notify = useNotify();
  const [anchor, setAnchor] = useState<HTMLElement>();
  const { document } = useApp();
  const set = useSet();
  const point = useSession((s) => s.point);
  const project = useProject((s) => s.project);
  const others = project.paths.filter(({ id, curve }) => id !== path.id && !curve.closed && curve.points.length > 0);
  const close = () => setAnchor(undefined);
  const put = (changed: Project | undefined, otherwise: string) => {
    close();
    if (changed) {
      document.getState().edit(() => changed);
      set({ point: undefined });
    } else notify(otherwise, { kind: 'warning' });
  };
  const write = async (writer: PathWriter) => {
    close();
    const written = await writer.write({ name: path.name, curve: path.curve });
    if (written) saveFiles([written], written.name, 'application/octet-stream');
    else notify('The path is not a curve yet. Give it two points first.', { kind: 'warning' });
  };
  return (
    <>
      <Button
        variant="outlined"
        color="secondary"
        aria-haspopup="menu"
        endIcon={<ExpandMoreRounded />}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        More
      </Button>
      <Menu open={anchor !== undefined} anchorEl={anchor ?? null} onClose={close}>
        <MenuItem onClick={() => put(reverse(project, path.id), '')}>
          <ListItemText primary="Reverse" secondary="The same curve, run the other way" />
        </MenuItem>
        {(['x', 'z'] as const).map((axis) => (
          <MenuItem key={axis} onClick={() => put(mirrorPath(project, path.id, axis), '')}>
            <ListItemText primary={`Mirror along ${axis}`} secondary="Left for right, about its middle" />
          </MenuItem>
        ))}
        <MenuItem
          disabled={point === undefined}
          onClick={() =>
            put(
              splitPath(project, path.id, point!, newId),
              'There is nothing to cut here. Choose a point between the ends of a path through points.',
            )
          }
        >
          <ListItemText
            primary={path.curve.closed ? 'Open it at the chosen point' : 'Cut at the chosen point'}
            secondary="The runs along it continue on both parts"
          />
        </MenuItem>
        {others.map((other) => (
          <MenuItem
            key={other.id}
            disabled={path.curve.closed}
            onClick={() => put(joinPath(project, path.id, other.id), 'These two paths cannot be joined.')}
          >
            <ListItemText
              primary={`Join with ${other.name.slice(0, 60)}`}
              secondary="Where their ends lie nearest; the runs along that one go"
            />
          </MenuItem>
        ))}
        <Divider />
        <MenuItem
          onClick={() => {
            close();
            set({ dialog: 'bringPath' });
          }}
        >
          <ListItemText primary="Bring a path" secondary="SVG, DXF, CSV, GeoJSON, OBJ lines, GLB lines" />
        </MenuItem>
        {PATH_WRITERS.map((writer) => (
          <MenuItem key={writer.kind} onClick={() => void write(writer)}>
            <ListItemText primary={`Write ${writer.label}`} secondary={writer.hint} />
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
