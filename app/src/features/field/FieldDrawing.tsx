import { memo, useEffect } from 'react';
import { G } from 'react-native-svg';
import { lazyWithRetry } from '../../ui/lazyWithRetry';
import { PixelContext } from '../../render/pixel';
import { LiveViewContext } from '../../render/createLiveShapes';
import { useLiveDrawing } from '../../playback/liveShapes';
import type { FieldLayers } from '../../render/fieldLayer';
import { redrawSoon } from '../../render/frameScheduler';
import { ActingOutline } from './overlays/ActingOutline';
import { HandPath } from './layers/HandPath';
import { EditOverlay } from './overlays/EditOverlay';
import { OffsetLinks } from './overlays/OffsetLinks';
import { type GripsOf } from './overlays/SelectionFrame';
import { BackdropPicture, hasPlanesInFront, PlanesInFront } from './layers/BackdropPicture';
import { ActivePart } from './layers/ActivePart';
import { FiguresAtPlayhead } from './layers/FiguresAtPlayhead';
import { GhostsLayer } from './layers/Ghosts';
import { FrameNumbersLayer } from './layers/FrameNumbers';
import { Guides } from './layers/Guides';
import { Layer, type LayerProps } from './layers/Layer';
import { Grid, PaperLayer } from './layers/Paper';
import { Points } from './layers/Points';
import { SpotTrails } from './layers/SpotTrails';
import { SlipTrack } from './layers/SlipTrack';
import { Marks } from './layers/Marks';
import { LaidAsActive, OutsideFrame } from './cameraSeen';
import { FIELD_VIEW, GHOSTS_VIEW } from './fieldView';
import { subscribePointerScene } from './pointerScene';
import { useShownInField } from '../../playback/shownInField';
import { useSettings } from '../../store/hooks';
import { useThrottledEditor, useThrottledSelector, useThrottledShotValue } from '../../store/throttled/hooks';

const ReviewLayer = lazyWithRetry(() => import('./layers/ReviewLayer').then((part) => part.ReviewLayer));

/** Strength of what stands back behind a stroke that waits to be kept. */
const STANDS_BACK = 0.35;
/** Strength of what is there now, behind what was there before. */
const HINTED_AT = 0.12;

interface FieldDrawingProps extends Omit<LayerProps, 'children'> {
  readonly grips: GripsOf;
  readonly layers?: FieldLayers;
}

export const FieldDrawing = memo(function FieldDrawing({
  size,
  projection,
  grips,
  layers,
}: FieldDrawingProps) {
  useLiveDrawing();
  useEffect(() => subscribePointerScene(redrawSoon), []);
  // While a stroke waits to be kept, what is there already stands back.
  const standsBack = useThrottledEditor(
    ({ tool, sketch, strokeMeans }) => tool === 'stroke' && (sketch !== null || strokeMeans === 'anew'),
  );
  const isReviewed = useThrottledSelector(
    ({ review }) => review.compared !== null || review.shownFinding !== null,
  );
  // What was before is looked at alone: what is there now is hinted at.
  const isOtherAlone = useThrottledSelector(({ review }) => review.compared?.shows === 'alone');
  const strength = isOtherAlone ? HINTED_AT : standsBack ? STANDS_BACK : 1;
  const shown = useShownInField();
  const { Under, Over } = layers ?? {};
  // Over a picture of the set stands what helps to place it, and no figure of the plan.
  const hasGuides = useSettings().shootGuides === 'all' || shown === 'plan';
  const standsBackAt = standsBack ? STANDS_BACK : 1;
  // Large pictures over the figures get a sheet of their own: what is dragged does not have them painted again.
  const hasFront = useThrottledShotValue(hasPlanesInFront);
  const below = hasGuides && (
    <>
      <LaidAsActive>
        <G opacity={strength}>
          <HandPath />
          <Guides group="active" />
          <SpotTrails />
          <Marks />
          <OffsetLinks />
        </G>
      </LaidAsActive>
      <G opacity={standsBackAt}>{shown === 'plan' && <FiguresAtPlayhead />}</G>
    </>
  );
  const above = (
    <>
      <LaidAsActive>
        {hasGuides && (
          <G opacity={standsBackAt}>
            <ActivePart />
            <SlipTrack />
          </G>
        )}
        <ActingOutline />
        {!isOtherAlone && <Points />}
        {!isOtherAlone && <EditOverlay grips={grips} />}
      </LaidAsActive>
      {Over && <Over />}
    </>
  );
  return (
    <PixelContext value={1 / projection.scale}>
      <LiveViewContext value={FIELD_VIEW}>
        <Layer size={size} projection={projection}>
          <PaperLayer />
          <BackdropPicture />
          <Grid />
        </Layer>
        {Under && <Under size={size} projection={projection} />}
        {hasGuides && (
          <LiveViewContext value={GHOSTS_VIEW}>
            <Layer size={size} projection={projection}>
              {!isOtherAlone && <GhostsLayer group="others" />}
              {!isOtherAlone && <FrameNumbersLayer group="others" />}
              <G opacity={strength}>
                <Guides group="others" />
              </G>
            </Layer>
            <Layer size={size} projection={projection}>
              <LaidAsActive>
                {!isOtherAlone && <GhostsLayer group="active" />}
                {!isOtherAlone && <FrameNumbersLayer group="active" />}
              </LaidAsActive>
            </Layer>
          </LiveViewContext>
        )}
        {hasFront && shown === 'plan' ? (
          <>
            <Layer size={size} projection={projection}>
              {below}
            </Layer>
            <Layer size={size} projection={projection}>
              <G opacity={standsBackAt}>
                <PlanesInFront />
              </G>
              <OutsideFrame />
            </Layer>
            <Layer size={size} projection={projection}>
              {above}
            </Layer>
          </>
        ) : (
          <Layer size={size} projection={projection}>
            {below}
            {shown === 'plan' && <OutsideFrame />}
            {above}
          </Layer>
        )}
        {isReviewed && <ReviewLayer size={size} projection={projection} />}
      </LiveViewContext>
    </PixelContext>
  );
});
