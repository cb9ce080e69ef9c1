import { useThree } from '@react-three/fiber';
import { useEffect, useRef, useState } from 'react';
import type { OrbitControls as Controls } from 'three-stdlib';
import { usePicture, useResults, useSession } from '../state/app-context';

/** Milliseconds that a picture takes: slower ones are drawn coarser while something moves, quicker ones finer again. */
const SLOW = 80;
const QUICK = 30;
const FINER = 1.25;
/** Pixels of the picture per pixel of the page, at the least. */
export const COARSEST = 0.7;

/** How fine the next picture is, 1 = as fine as can be, by what goes on and by how long pictures took before. */
export interface Share {
  readonly isDragging: boolean;
  readonly isTurned: boolean;
  readonly isMoving: boolean;
  /** Another picture comes soon: this one is not looked at for long. */
  readonly isPassing: boolean;
  now(): number;
  /** How fine pictures in passing are; undefined before the first. */
  inPassing(): number | undefined;
  /** That a picture so fine took so many milliseconds. */
  took(share: number, milliseconds: number): void;
}

export function useShare(): Share {
  const controls = useThree((s) => s.controls) as Controls | null;
  const [isTurned, setTurned] = useState(false);
  const isDragging = useSession((s) => s.isDragging);
  const isPlaying = useSession((s) => s.isPlaying);
  const isRiding = useSession((s) => s.ride !== undefined && !s.ride.isHeld);
  const isFine = usePicture((s) => s.isFine);
  const isWorking = useResults((s) => s.busy.size > 0);
  const isMoving = isDragging || isTurned || isPlaying || isRiding;
  const isPassing = isMoving || isWorking;
  const share = useRef(COARSEST);
  const passesNow = useRef(false);
  const inPassing = useRef<number>(undefined);

  useEffect(() => {
    if (!controls) return;
    const begin = () => {
      share.current = inPassing.current ?? 1; // with the very first picture
      setTurned(true);
    };
    const end = () => setTurned(false);
    controls.addEventListener('start', begin);
    controls.addEventListener('end', end);
    return () => {
      controls.removeEventListener('start', begin);
      controls.removeEventListener('end', end);
    };
  }, [controls]);

  useEffect(() => {
    passesNow.current = isPassing;
    // What comes first is seen sooner coarsely, whatever the machine.
    share.current = isPassing || !isFine ? (inPassing.current ?? (isMoving ? 1 : COARSEST)) : 1;
  }, [isFine, isMoving, isPassing]);

  return {
    ...{ isDragging, isTurned, isMoving, isPassing },
    now: () => share.current,
    inPassing: () => inPassing.current,
    took(drawn, milliseconds) {
      if (!isPassing) {
        inPassing.current ??= nextShare(drawn, milliseconds); // a first guess: with the shadows it takes longer
        return;
      }
      inPassing.current = nextShare(drawn, milliseconds);
      if (passesNow.current) share.current = inPassing.current; // the last picture of a move is told of when all rests
    },
  };
}

/** The time goes with the number of pixels. */
export function nextShare(share: number, took: number): number {
  if (took > SLOW) return Math.max(share * Math.sqrt(SLOW / took), COARSEST);
  return took < QUICK ? Math.min(share * FINER, 1) : share;
}
