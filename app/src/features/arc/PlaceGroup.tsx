import { currentFrame } from '../../playback/playhead';
import { arcWords as words } from '../../words/arc';
import { pointAtDistance } from '@humble/core';
import LocateFixed from 'lucide-react-native/icons/locate-fixed';
import Plus from 'lucide-react-native/icons/plus';
import Scan from 'lucide-react-native/icons/scan';
import SquareDashed from 'lucide-react-native/icons/square-dashed-mouse-pointer';
import { arcLocationSelected, pointsSelected, selectingSeveralSet } from '../../store/editorSlice';
import { useAppDispatch, useAppStore, useEdit } from '../../store/hooks';
import { selectFigurePlace } from '../../store/selectors/selection';
import { ActionRow } from '../../ui/ActionRow';
import { Card } from '../../ui/Card';
import { Words } from '../../ui/Words';
import { Locked } from './Locked';
import { middleOfLongest } from './middleOfLongest';
import { PlaceCard } from './PlaceCard';
import { PointCard } from './PointCard';
import { PointsCard } from './PointsCard';
import { selectActiveArc } from '../../store/selectors/active';
import { useThrottledArc, useThrottledEditor, useThrottledMove } from '../../store/throttled/hooks';

export function PlaceGroup() {
  const isLocked = useThrottledArc((arc) => arc.locked);
  const selected = useThrottledEditor((editor) => editor.selectedPointIds.length);
  const hasSpot = useThrottledEditor((editor) => editor.arcLocation !== null);
  if (isLocked === null) return <Words tone="soft">{words.noPointsYet}</Words>;
  if (isLocked) return <Locked />;
  return (
    <>
      {selected === 1 && <PointCard />}
      {selected > 1 && <PointsCard />}
      {hasSpot && <PlaceCard />}
      <Selecting />
    </>
  );
}

function Selecting() {
  const isSelectingSeveral = useThrottledEditor((editor) => editor.isSelectingSeveral);
  const isNothing = useThrottledEditor(
    (editor) => editor.selectedPointIds.length === 0 && !editor.arcLocation,
  );
  const hasFigure = useThrottledMove() !== null;
  const store = useAppStore();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const arcNow = () => selectActiveArc(store.getState())!;
  const addPoint = (): void => {
    const arc = arcNow();
    const done = edit('insertPoint', { arcId: arc.id, ...middleOfLongest(arc) });
    if (done) dispatch(pointsSelected(done.made().points));
  };
  const takeFigurePlace = (): void => {
    const location = selectFigurePlace(store.getState(), currentFrame());
    if (!location) return;
    const { segment, t } = pointAtDistance(arcNow(), location.s);
    dispatch(arcLocationSelected({ segment, t }));
  };
  return (
    <Card title={words.select}>
      {isNothing && (
        <Words tone="soft" className="mb-1">
          {words.tapAPointInTheField}
        </Words>
      )}
      <ActionRow
        actions={[
          { label: words.addAPoint, icon: Plus, onPress: addPoint },
          {
            label: words.selectAll,
            icon: Scan,
            onPress: () => dispatch(pointsSelected(arcNow().points.map(({ id }) => id))),
          },
          {
            label: words.selectSeveral,
            icon: SquareDashed,
            pressed: isSelectingSeveral,
            onPress: () => dispatch(selectingSeveralSet(!isSelectingSeveral)),
          },
          hasFigure && { label: words.pointAtTheFigure, icon: LocateFixed, onPress: takeFigurePlace },
        ]}
      />
    </Card>
  );
}

export function PlaceSummary() {
  const selected = useThrottledEditor((editor) => editor.selectedPointIds.length);
  const hasSpot = useThrottledEditor((editor) => editor.arcLocation !== null);
  const text = hasSpot ? words.aSpotOnTheArc : selected === 1 ? words.onePoint : words.points(selected);
  return <Words tone="soft">{selected === 0 && !hasSpot ? words.nothingSelected : text}</Words>;
}
