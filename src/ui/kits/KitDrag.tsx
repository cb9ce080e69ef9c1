'use client';

import { DndContext, DragOverlay, PointerSensor, useSensor, useSensors, type Active } from '@dnd-kit/core';
import { useState, type ReactNode } from 'react';
import type { Kit } from '../../project/commands/kits';
import { SmallPicture } from '../pictures/SmallPicture';

/** The kit that is being dragged, if one is. */
export const kitOf = (active: Active | null): Kit | undefined => active?.data.current?.kit as Kit | undefined;

/** Kits are dragged from the ticket into the bent view. */
export function KitDrag({ children }: { children: ReactNode }) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const [kit, setKit] = useState<Kit>();
  return (
    <DndContext
      sensors={sensors}
      autoScroll={false}
      onDragStart={({ active }) => setKit(kitOf(active))}
      onDragEnd={() => setKit(undefined)}
      onDragCancel={() => setKit(undefined)}
    >
      {children}
      <DragOverlay dropAnimation={null} style={{ pointerEvents: 'none' }}>
        {kit && <SmallPicture project={kit.project} name={`kit ${kit.id} ${kit.changedAt}`} width={60} height={40} />}
      </DragOverlay>
    </DndContext>
  );
}
