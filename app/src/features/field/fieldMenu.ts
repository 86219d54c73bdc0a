import { nearestPoint, type Arc } from '@humble/core';
import { frameNearestTo } from '@humble/core/views';
import ClipboardPaste from 'lucide-react-native/icons/clipboard-paste';
import Maximize from 'lucide-react-native/icons/maximize';
import PencilLine from 'lucide-react-native/icons/pencil-line';
import Waypoints from 'lucide-react-native/icons/waypoints';
import { arcMenu, otherArcMenu, pointMenu } from '../../commands/menus/arcMenus';
import { figureHereItem, poseMenu } from '../../commands/menus/figureMenus';
import { partMenu } from '../../commands/menus/partsMenu';
import { figureMenu } from '../../commands/menus/figuresMenu';
import { markMenu, pictureMenu } from '../../commands/menus/timingMenus';
import { followSpotItem } from '../../commands/trails';
import { pasteMarks } from '../../commands/timing';
import { currentFrame } from '../../playback/playhead';
import { strokeAsked, toolChosen } from '../../store/editorSlice';
import { selectActiveTravel } from '../../store/selectors/selection';
import type { ContextMenu } from '../../ui/contextMenu';
import type { MenuItem } from '../../ui/Menu';
import { fieldWords } from '../../words/field';
import { menusWords as words } from '../../words/menus';
import type { FieldContext, Pointer } from './dragHandler';
import type { Target } from './hitTest';

export function fieldMenu(context: FieldContext, target: Target, at: Pointer): ContextMenu | null {
  const { store, snapshot } = context;
  const { arc, others } = snapshot().state;
  switch (target.kind) {
    case 'stroke':
    case 'placing':
    case 'centre':
    case 'ruler':
    case 'backdrop':
    case 'grip':
    case 'acting':
      return null;
    case 'point':
    case 'handle':
      return arc && pointMenu(store, arc, target.pointId);
    case 'shape-handle':
      return arc && arcMenu(store, arc, locationIn(arc, at));
    case 'arc':
      return arc && onArc(context, arc, target);
    case 'other-arc': {
      const other = others.find(({ id }) => id === target.arcId);
      return other ? otherArcMenu(store, other) : null;
    }
    case 'mark':
      return markMenu(store, target.markIds);
    case 'tick':
    case 'by-hand':
      return pictureMenu(store, target.frame);
    case 'knob':
      return poseMenu(store, currentFrame());
    case 'figure':
      if (target.isFar) return null;
      return snapshot().state.edits === 'timing'
        ? pictureMenu(store, target.frame)
        : withItem(poseMenu(store, currentFrame()), followSpotItem(store, at.point, null));
    case 'other-figure':
      return figureMenu(store, target.other.figureId);
    case 'rider':
      return withItem(
        partMenu(store, target.rider.riderId),
        followSpotItem(store, at.point, target.rider.riderId),
      );
    case 'stand':
    case 'stage-figure':
    case 'corner':
    case 'ground':
      return groundMenu(context, at);
  }
}

const withItem = (menu: ContextMenu | null, item: MenuItem | null): ContextMenu | null =>
  menu && item ? { ...menu, items: [...menu.items, item] } : menu;

function locationIn(arc: Arc, { point }: Pointer) {
  const { segment, t } = nearestPoint(arc, point) ?? { segment: 0, t: 0 };
  return { segment, t };
}

function onArc(
  { store, snapshot }: FieldContext,
  arc: Arc,
  { segment, t, s }: Extract<Target, { kind: 'arc' }>,
): ContextMenu | null {
  const { edits } = snapshot().state;
  if (edits === 'arcs') return arcMenu(store, arc, { segment, t });
  const travel = selectActiveTravel(store.getState());
  if (!travel || edits === 'nothing') return null;
  const frame = frameNearestTo(travel, s, currentFrame());
  return edits === 'poses' ? poseMenu(store, frame) : pictureMenu(store, frame);
}

function groundMenu({ store, snapshot, viewChanges }: FieldContext, { point }: Pointer): ContextMenu {
  const { dispatch } = store;
  const { edits } = snapshot().state;
  const here: Record<typeof edits, readonly MenuItem[]> = {
    arcs: [
      { label: words.freehand, icon: PencilLine, onPress: () => dispatch(strokeAsked('fresh')) },
      { label: words.pointByPoint, icon: Waypoints, onPress: () => dispatch(toolChosen('points')) },
    ],
    poses: [figureHereItem(store, point)],
    timing: store.getState().editor.copied
      ? [{ label: words.paste, icon: ClipboardPaste, onPress: () => dispatch(pasteMarks()) }]
      : [],
    pictures: [],
    nothing: [],
  };
  return {
    title: fieldWords.theField,
    items: [...here[edits], { label: words.wholeField, icon: Maximize, onPress: () => viewChanges(null) }],
  };
}
