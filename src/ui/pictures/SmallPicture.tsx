'use client';

import { Box } from '@mui/material';
import { useEffect, useRef, useState } from 'react';
import type { Picture } from '../../core/mesh/draw-mesh';
import type { Project } from '../../project/schema';
import { useApp } from '../state/app-context';

/** Pictures that were asked for, by what they show. */
const KEPT = new Map<string, Promise<Picture | undefined>>();
const MOST_KEPT = 200;

/** One after the other, so that other work need not wait for all of them. */
let turn: Promise<unknown> = Promise.resolve();
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const next = turn.then(work, work);
  turn = next.catch(() => undefined);
  return next;
}

export interface SmallPictureProps {
  readonly project: Project;
  /** What it shows and which state of it. */
  readonly name: string;
  /** Pixels of the page. */
  readonly width: number;
  readonly height: number;
}

/** A small picture of what a project lays, worked out when it is first shown. */
export function SmallPicture({ project, name, width, height }: SmallPictureProps) {
  const { baker } = useApp();
  const canvas = useRef<HTMLCanvasElement>(null);
  const [picture, setPicture] = useState<Picture>();
  const key = `${name} ${width} ${height}`;
  useEffect(() => {
    let isLive = true;
    const asked =
      KEPT.get(key) ??
      inTurn(() => baker.call((api) => api.picture(project, width * 2, height * 2)))
        .then((made) => (made.ok ? made.value : undefined))
        .catch(() => undefined); // a crash is told where it happened
    if (!KEPT.has(key) && KEPT.size >= MOST_KEPT) KEPT.delete(KEPT.keys().next().value!);
    KEPT.set(key, asked);
    void asked.then((made) => {
      if (!made) KEPT.delete(key);
      if (isLive) setPicture(made);
    });
    return () => {
      isLive = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the name says which project it is
  }, [key, baker]);
  useEffect(() => {
    if (!picture || !canvas.current) return;
    const image = new ImageData(picture.data, picture.width, picture.height);
    canvas.current.getContext('2d')!.putImageData(image, 0, 0);
  }, [picture]);
  return (
    <Box
      sx={{
        ...{ width, height, flexShrink: 0, borderRadius: 1, overflow: 'hidden' },
        bgcolor: (t) => t.vars!.palette.tokens.ground,
      }}
    >
      {picture && (
        <canvas ref={canvas} aria-hidden width={picture.width} height={picture.height} style={{ width, height }} />
      )}
    </Box>
  );
}
