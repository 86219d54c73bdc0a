import { useEffect, useRef } from 'react';
import { ScrollView, View } from 'react-native';
import type { Step } from '../kinds/steps';
import type { EditorState } from '../store/editorSlice';
import { useThrottledEditor, useSession } from '../store/hooks';
import { type PanelProps, STEP_PARTS } from './steps';

/** The panel of the current step. */
export function StepPanel(props: PanelProps) {
  const step = useSession((session) => session.step);
  const { Panel, scrollsItself } = STEP_PARTS[step];
  if (!scrollsItself) return <ScrolledPanel step={step} {...props} />;
  return (
    <View className="flex-1 pt-1">
      <Panel {...props} />
    </View>
  );
}

/** What the Arc step shows first: that is brought into sight when it changes. */
const firstShown = ({ tool, selectedPointIds, arcLocation, sketch }: EditorState): string =>
  [tool, Math.min(2, selectedPointIds.length), arcLocation !== null, sketch !== null].join(' ');

function ScrolledPanel({ step, ...props }: PanelProps & { readonly step: Step }) {
  const panel = useRef<ScrollView>(null);
  const first = useThrottledEditor(firstShown);
  const { Panel } = STEP_PARTS[step];
  useEffect(() => panel.current?.scrollTo({ y: 0, animated: false }), [first]);
  return (
    <ScrollView ref={panel} className="flex-1" contentContainerClassName="px-4 pb-6 pt-1" key={step}>
      <Panel {...props} />
    </ScrollView>
  );
}
