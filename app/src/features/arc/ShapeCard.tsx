import { arcWords as words } from '../../words/arc';
import { View } from 'react-native';
import { useEdit } from '../../store/hooks';
import { useLengths } from '../../store/lengths';
import { Card } from '../../ui/Card';
import { NumberField, type NumberFieldProps } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { Toggle } from '../../ui/Toggle';
import { Words } from '../../ui/Words';
import { nameOfShape, shapeChoices, shapeNumbers } from '../../kinds/shapes';
import { useThrottledArc } from '../../store/throttled/hooks';

/** No option has this value. */
const NO_SIDE = -1;

const asItIs = (field: NumberFieldProps): NumberFieldProps => field;

export function ShapeCard() {
  const arcId = useThrottledArc((arc) => arc.id);
  const shape = useThrottledArc((arc) => arc.shape);
  const edit = useEdit();
  const { field: length } = useLengths();
  if (!shape || arcId === null) return null;
  return (
    <Card title={nameOfShape(shape)}>
      <Words tone="soft">{words.readyShapeHelp}</Words>
      <View className="mt-1">
        {shapeNumbers(shape).map(({ with: withNumber, ...field }) => (
          <NumberField
            key={field.label}
            {...(field.unit === 'units' ? length : asItIs)({
              ...field,
              onChange: (value, undoGroup) => {
                edit('shapeArc', { arcId, shape: withNumber(value) }, undoGroup);
              },
            })}
          />
        ))}
        {shapeChoices(shape).map(({ label, options, value, with: withValue }) => (
          <View key={label} className="gap-1 py-1">
            <Words tone="soft">{label}</Words>
            <Segmented
              label={label}
              value={value ?? NO_SIDE}
              options={options}
              onChange={(chosen) => edit('shapeArc', { arcId, shape: withValue(chosen) })}
            />
          </View>
        ))}
        {shape.kind === 'ellipse' && (
          <Toggle
            label={words.keepItRound}
            value={shape.isRound}
            onChange={(isRound) =>
              edit('shapeArc', {
                arcId,
                shape: { ...shape, isRound, radiusY: isRound ? shape.radiusX : shape.radiusY },
              })
            }
          />
        )}
      </View>
    </Card>
  );
}
