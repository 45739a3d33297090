'use client';

import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { useMemo, type ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import type { SheetLine } from './sheet-lines';
import * as texts from './texts';

// The same objects at every drawing: with others each line would be drawn again at each key.
const BY_POINTER = { activationConstraint: { distance: 4 } };
const BY_KEYS = { coordinateGetter: sortableKeyboardCoordinates };

/** Steps that can be taken by their handle and put elsewhere: by pointer, by finger, and by Space and the arrow keys. */
export function MovableSteps({
  lines,
  onMove,
  children,
}: {
  readonly lines: readonly SheetLine[];
  readonly onMove: (from: number, to: number) => void;
  readonly children: ReactNode;
}) {
  const sensors = useSensors(useSensor(PointerSensor, BY_POINTER), useSensor(KeyboardSensor, BY_KEYS));
  const at = (id: string | number | undefined): number => lines.findIndex((l) => l.id === id);
  // The same list while no line comes or goes: a keystroke in one line is none of the others' business.
  const joined = lines.map((l) => l.id).join(' ');
  const items = useMemo(() => joined.split(' '), [joined]);
  const place = (id: string | number | undefined): string => texts.place(at(id) + 1, lines.length);
  const text = (id: string | number): string => lines[at(id)]?.text ?? '';
  return (
    <DndContext
      id="steps"
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => over && onMove(at(active.id), at(over.id))}
      accessibility={{
        screenReaderInstructions: {
          draggable: texts.spacePicksStepUp,
        },
        announcements: {
          onDragStart: ({ active }) => texts.pickedUp(text(active.id), place(active.id)),
          onDragOver: ({ over }) => (over ? texts.over(place(over.id)) : undefined),
          onDragEnd: ({ over }) => (over ? texts.dropped(place(over.id)) : texts.cancelled),
          onDragCancel: () => texts.cancelled,
        },
      }}
    >
      <SortableContext items={items} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

/** A step that can be moved: the body of its rows, and the handle it is taken by. */
export function useMovable(id: string, name: string) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } =
    useSortable({ id });
  const body = {
    ref: setNodeRef,
    style: {
      transform: CSS.Translate.toString(transform),
      transition,
      ...(isDragging ? { position: 'relative' as const, zIndex: 2, background: 'var(--copper-wash)' } : {}),
    },
  };
  const handle = (
    <Button
      variant="tool"
      size="sm"
      ref={setActivatorNodeRef}
      {...attributes}
      {...listeners}
      aria-label={texts.move(name)}
      style={{ touchAction: 'none', cursor: 'grab' }}
    >
      <GripVertical size={16} aria-hidden="true" />
    </Button>
  );
  return { body, handle };
}
