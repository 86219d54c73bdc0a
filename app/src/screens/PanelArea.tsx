import { View } from 'react-native';
import { LazyViewSheet } from '../features/view/LazyViewSheet';
import { useSession } from '../store/hooks';
import { StepPanel } from './StepPanel';
import type { PanelProps } from './steps';

/** The panel of the step, with the view sheet over its upper part while that is open: never over the field. */
export function PanelArea(props: PanelProps) {
  const isViewOpen = useSession((session) => session.isViewOpen);
  return (
    <>
      {isViewOpen && (
        <View className={`border-b border-line ${props.isPhone ? 'flex-1' : 'h-1/2'}`}>
          <LazyViewSheet />
        </View>
      )}
      <View className={`min-h-0 flex-1 ${isViewOpen && props.isPhone ? 'hidden' : ''}`}>
        <StepPanel {...props} />
      </View>
    </>
  );
}
