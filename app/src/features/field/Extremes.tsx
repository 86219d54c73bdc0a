import { extremeIncrements, type IncrementRow, incrementTable } from '@humble/core/views';
import { frameNumber } from '../../store/frameNumbers';
import { selectComparison } from '../../store/selectors/comparison';
import { useThrottledMove, useThrottledSelector, useThrottledShot } from '../../store/throttled/hooks';
import { useLayout } from '../../ui/layout';
import { fixed } from '../../ui/numbers';
import { NumericText, Words } from '../../ui/Words';
import { fieldWords as words } from '../../words/field';

const MIN_WIDTH_PX = 380;

/** The largest step of the active move and where it is; on a wide screen the smallest one, too. */
export function Extremes() {
  const shot = useThrottledShot();
  const move = useThrottledMove();
  const { isWide, width } = useLayout();
  const isComparing = useThrottledSelector((state) => selectComparison(state) !== null);
  // Beside the numbers of the frame there is no room for it on the smallest phones, or where takes are compared.
  if (!move || width < MIN_WIDTH_PX || (isComparing && !isWide)) return null;
  const table = incrementTable(shot, move);
  const { largest, smallest } = extremeIncrements(table);
  if (!largest || !smallest) return null;
  const unit = table.units === 'mm' ? ' mm' : words.units;
  const [most, least] = [largest, smallest].map(({ along }) => fixed(Math.abs(along!), 2));
  // The step that closes a loop leads back to its first picture.
  const frameOf = (row: IncrementRow): string => String(frameNumber(row === table.closing ? 1 : row.frame));
  const isEven = most === least;
  return (
    <Words tone="soft" size="tiny" numberOfLines={1} testID="extremes">
      {isEven ? words.everyStep : words.largestStep} <NumericText size="tiny">{most}</NumericText>
      {isWide ? unit : ''}
      {isEven ? '' : words.atFrame(frameOf(largest))}
      {isWide && !isEven && (
        <>
          {words.smallestStep} <NumericText size="tiny">{least}</NumericText>
          {unit}
          {words.atFrame(frameOf(smallest))}
        </>
      )}
    </Words>
  );
}
