'use client';

import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import type { ReactNode } from 'react';

export interface SortableRowsProps {
  readonly items: readonly { readonly id: string }[];
  /** One was dropped where another one is. */
  readonly onMove: (id: string, to: string) => void;
  readonly children: ReactNode;
}

/** Rows of a list that are put in order by dragging. */
export function SortableRows({ items, onMove, children }: SortableRowsProps) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => over && onMove(String(active.id), String(over.id))}
    >
      <SortableContext items={items.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}
