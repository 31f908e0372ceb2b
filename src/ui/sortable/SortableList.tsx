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
import type { ReactNode } from 'react';
import { Icon } from '../icons/Icon';
import { usePalette } from '../theme/theme';
import type { SortableProps } from './sortableProps';

/** A row with the handle that it is moved by. */
function SortableRow({ id, name, children }: { id: string; name: string; children: ReactNode }) {
  const palette = usePalette();
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id,
  });
  return (
    <div
      ref={setNodeRef}
      role="listitem"
      className="sortable-row"
      style={{
        transform: CSS.Transform.toString(transform),
        transition,
        borderColor: palette.hairline,
        background: palette.sheet,
        zIndex: isDragging ? 1 : 0,
        boxShadow: isDragging ? '0 4px 16px rgb(0 0 0 / 25%)' : 'none',
      }}
    >
      <button
        type="button"
        className="drag-handle"
        {...attributes}
        {...listeners}
        aria-label={`Move ${name}`}
        style={{ color: palette.dim }}
      >
        <Icon name="drag" size={20} />
      </button>
      {children}
    </div>
  );
}

/** A list whose order is changed by dragging or with the keyboard. */
export default function SortableList({ name, ids, nameOf, row, onMove }: SortableProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const called = (id: string | number) => nameOf(String(id));
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{
        screenReaderInstructions: {
          draggable: 'Press space to take hold, the arrows to move, space again to let go.',
        },
        announcements: {
          onDragStart: ({ active }) => `Took hold of ${called(active.id)}.`,
          onDragOver: ({ active, over }) =>
            over ? `${called(active.id)} is at the place of ${called(over.id)}.` : undefined,
          onDragEnd: ({ active }) => `Let go of ${called(active.id)}.`,
          onDragCancel: ({ active }) => `${called(active.id)} is back at its place.`,
        },
      }}
      onDragEnd={({ active, over }) => {
        if (over && over.id !== active.id) onMove(String(active.id), String(over.id));
      }}
    >
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        <div role="list" aria-label={name}>
          {ids.map((id) => (
            <SortableRow key={id} id={id} name={nameOf(id)}>
              {row(id)}
            </SortableRow>
          ))}
        </div>
      </SortableContext>
    </DndContext>
  );
}
