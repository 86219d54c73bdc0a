import { View } from 'react-native';
import { useSession } from '../store/hooks';
import { type PanelProps, STEP_PARTS } from './steps';

export function StepPanel(props: PanelProps) {
  const step = useSession((session) => session.step);
  const { Panel } = STEP_PARTS[step];
  return (
    <View className="min-h-0 flex-1">
      <Panel {...props} />
    </View>
  );
}
