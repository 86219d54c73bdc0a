import {
  closestCenter,
  DndContext,
  type DragEndEvent,
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
import Grip from 'lucide-react-native/icons/grip-vertical';
import { colour } from './colour';
import type { SortableListProps } from './SortableList';

/** A press that moves less than this is none of the list's, pixels. */
const MIN_DRAG_PX = 4;

/** A list whose items are put in order by dragging their grips, or by Space and the arrow keys on one. */
export function SortableList({ label, ids, renderRow, gripLabel, onMove }: SortableListProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: MIN_DRAG_PX } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const dropped = ({ active, over }: DragEndEvent): void => {
    if (over && over.id !== active.id) onMove(String(active.id), ids.indexOf(String(over.id)));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        <div role="list" aria-label={label}>
          {ids.map((id) => (
            <SortableRow key={id} id={id} gripLabel={gripLabel(id)} renderRow={renderRow} />
          ))}
        </div>
      </SortableContext>
    </DndContext>
  );
}

interface SortableRowProps extends Pick<SortableListProps, 'renderRow'> {
  readonly id: string;
  readonly gripLabel: string;
}

const GRIP = {
  width: 32,
  height: 44,
  display: 'flex',
  alignItems: 'center',
  justifyContent: 'center',
  padding: 0,
  border: 0,
  background: 'transparent',
  cursor: 'grab',
  touchAction: 'none',
} as const;

function SortableRow({ id, gripLabel, renderRow }: SortableRowProps) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } =
    useSortable({ id });
  const style = {
    transform: CSS.Translate.toString(transform),
    transition,
    position: 'relative',
    zIndex: isDragging ? 1 : 0,
  } as const;
  const grip = (
    <button
      ref={setActivatorNodeRef}
      type="button"
      style={GRIP}
      {...attributes}
      {...listeners}
      aria-label={gripLabel}
    >
      <Grip size={18} strokeWidth={1.75} color={colour.soft} />
    </button>
  );
  return (
    <div ref={setNodeRef} role="listitem" style={style}>
      {renderRow(id, grip)}
    </div>
  );
}
