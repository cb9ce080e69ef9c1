'use client';

import { Box } from '@mui/material';
import { useEffect, useRef, useState } from 'react';
import type { Picture } from '../../core/mesh/draw-mesh';
import type { Project } from '../../project/schema';
import { useApp } from '../state/app-context';

export interface SmallPictureProps {
  readonly project: Project;
  /** What it shows and which state of it. */
  readonly name: string;
  /** Pixels of the page. */
  readonly width: number;
  readonly height: number;
}

/** Lighter than the view's own ground, so that dark things stand out. */
const BEHIND_DARK = '#56616a';

/** A small picture of what a project lays, worked out when it is first shown. */
export function SmallPicture({ project, name, width, height }: SmallPictureProps) {
  const { baker, pictures } = useApp();
  const canvas = useRef<HTMLCanvasElement>(null);
  const [picture, setPicture] = useState<Picture>();
  const key = `${name} ${width} ${height}`;
  useEffect(() => {
    let isLive = true;
    void pictures
      .ask(key, async () => {
        const made = await baker.call((api) => api.picture(project, width * 2, height * 2));
        return made.ok ? made.value : undefined;
      })
      .then((made) => isLive && setPicture(made));
    return () => {
      isLive = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the name says which project it is
  }, [key, baker, pictures]);
  useEffect(() => {
    if (!picture || !canvas.current) return;
    const image = new ImageData(picture.data, picture.width, picture.height);
    canvas.current.getContext('2d')!.putImageData(image, 0, 0);
  }, [picture]);
  return (
    <Box
      sx={[
        { width, height, flexShrink: 0, borderRadius: 1, overflow: 'hidden' },
        (t) => ({ bgcolor: t.vars!.palette.tokens.ground, ...t.applyStyles('dark', { bgcolor: BEHIND_DARK }) }),
      ]}
    >
      {picture && (
        <canvas ref={canvas} aria-hidden width={picture.width} height={picture.height} style={{ width, height }} />
      )}
    </Box>
  );
}
