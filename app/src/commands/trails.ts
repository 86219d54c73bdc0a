import { evaluate, travelOfMove, type Vector } from '@humble/core';
import { betweenOn, followedSpots, partsOn, spotTrail, spotUnder } from '@humble/core/views';
import Crosshair from 'lucide-react-native/icons/crosshair';
import { arcActivated } from '../store/editorSlice';
import { doEdit } from '../store/doEdit';
import { messageShown } from '../store/sessionSlice';
import { selectOpenShot } from '../store/selectors/active';
import { currentFrame } from '../playback/playhead';
import { selectActiveTravel } from '../store/selectors/selection';
import type { AppStore, AppThunk } from '../store/store';
import type { MenuItem } from '../ui/Menu';
import { inbetweenWords as words } from '../words/inbetween';
import { fitAside } from '../workers/fit';

/** How far an arc may lie from the trail that it is made of, as a share of the field's width. */
const DEVIATION_SHARE = 1 / 1000;

/** The path of a followed spot becomes an arc of its own, without a figure. */
export const makeArcOfTrail =
  (moveId: string, spotId: string, riderId: string | null): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    const shot = selectOpenShot(getState());
    const travel = travelOfMove(evaluate(shot), moveId);
    const followed =
      travel && followedSpots(travel).find((one) => one.spot.id === spotId && one.riderId === riderId);
    if (!travel || !followed) return;
    const places = spotTrail(travel, followed);
    const last = places[places.length - 1];
    if (!last || last.distance < 1) {
      dispatch(messageShown(words.pathTooShort));
      return;
    }
    const samples = places.map(({ x, y }) => ({ x, y }));
    const points = await fitAside(samples, shot.field.width * DEVIATION_SHARE);
    const made = dispatch(doEdit('addArc', { points, name: followed.spot.name }))?.made();
    if (!made?.arcs[0]) return;
    dispatch(arcActivated(made.arcs[0]));
    dispatch(messageShown(words.arcMade(followed.spot.name)));
  };

const DIGITS = 10;
const rounded = (value: number): number => Math.round(value * DIGITS) / DIGITS;

/**
 * Follows the spot of the active figure, or of one of its parts, that is at a place in the field now; null where that
 * spot is on no drawing.
 */
export function followSpotItem(store: AppStore, point: Vector, riderId: string | null): MenuItem | null {
  const travel = selectActiveTravel(store.getState());
  if (!travel) return null;
  const seen = travel.shown[Math.min(currentFrame(), travel.shown.length) - 1]!;
  const part = partsOn(travel, seen - 1).find(({ rider }) => (rider?.id ?? null) === riderId);
  if (!part || part.slices || part.drawing === 0 || (riderId === null && betweenOn(travel, seen)))
    return null;
  const at = spotUnder(part.placement, point);
  const { followedSpots: spots } = part.rider ?? travel.figure;
  const of = riderId === null ? { figureId: travel.figure.id } : { moveId: travel.move.id, riderId };
  return {
    label: words.followThisSpot,
    icon: Crosshair,
    onPress: () => {
      store.dispatch(
        doEdit('followSpot', {
          ...of,
          place: { drawing: part.drawing, x: rounded(at.x), y: rounded(at.y) },
          name: words.spotName(spots.length + 1),
        }),
      );
    },
  };
}
