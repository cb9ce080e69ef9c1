'use client';

import { useEffect, useMemo, useState } from 'react';
import { buildGuide } from '../../core/guides/build-guide';
import type { GuideMesh } from '../../core/guides/guide-body';
import type { Guide } from '../../project/schema';
import type { GuideView } from '../../engine/compute-api';
import { useApp, useProject, useSession } from '../state/app-context';
import { SolidGuide } from '../place/SolidGuide';
import { PaleMesh } from './PaleMesh';
import type { Viewport } from './viewport';

/** Read with the first guide: most projects have none. */
const findMiddles = async (mesh: GuideMesh) => (await import('../../core/guides/snap-places')).snapPlaces(mesh);

export interface GuideMeshesProps {
  readonly viewport: Viewport;
  readonly colour: string;
  readonly chosenColour: string;
  /** Those that look like something, or those that are only there to aim at. */
  readonly scenery: boolean;
}

/** The guides of the project; the chosen one stands out. */
export function GuideMeshes({ viewport, colour, chosenColour, scenery }: GuideMeshesProps) {
  const guides = useProject((s) => s.project.guides);
  const chosen = useSession((s) => s.guide);
  return guides.map(
    (guide) =>
      guide.visible &&
      (guide.finish !== undefined) === scenery && (
        <GuideShape
          key={guide.id}
          guide={guide}
          viewport={viewport}
          colour={guide.id === chosen ? chosenColour : colour}
          isChosen={guide.id === chosen}
        />
      ),
  );
}

function GuideShape(props: { guide: Guide; viewport: Viewport; colour: string; isChosen: boolean }) {
  const { guide, viewport, colour, isChosen } = props;
  const mesh = useGuideMesh(guide);
  useEffect(() => {
    let isLive = true;
    if (mesh) void findMiddles(mesh).then((middles) => isLive && viewport.setMiddles(guide.id, middles));
    return () => {
      isLive = false;
      viewport.setMiddles(guide.id, undefined);
    };
  }, [viewport, guide.id, mesh]);
  if (!mesh) return null;
  const drawn = { mesh, of: { guide: guide.id }, colour, isChosen };
  return guide.finish ? <SolidGuide {...drawn} finish={guide.finish} /> : <PaleMesh {...drawn} />;
}

/** A guide's mesh in the scene; a brought one's is read once. */
function useGuideMesh(guide: Guide): GuideMesh | undefined {
  const { baker } = useApp();
  const { shape, position, turn } = guide;
  const asset = shape.from === 'asset' ? shape.asset : undefined;
  const [brought, setBrought] = useState<{ asset: string; mesh: GuideView }>();
  useEffect(() => {
    if (!asset || shape.from !== 'asset') return undefined;
    let isLive = true;
    const plain = { ...guide, shape: { ...shape, unit: 1 }, position: [0, 0, 0], turn: [0, 0, 0] } as const;
    void baker
      .call((api) => api.guide(plain))
      .then((read) => isLive && read.ok && setBrought({ asset, mesh: read.value }))
      .catch(() => undefined); // a crash is told where it happened
    return () => {
      isLive = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the mesh in the file depends on the asset alone
  }, [asset, baker]);
  return useMemo(() => {
    if (shape.from === 'asset' && brought?.asset !== shape.asset) return undefined;
    return buildGuide({ shape, position, turn, clearance: null }, brought?.mesh);
  }, [shape, position, turn, brought]);
}
