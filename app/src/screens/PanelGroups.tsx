import { benchWords as words } from '../words/bench';
import { type ComponentType, type ReactNode, useEffect, useMemo, useRef, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { shallowEqual } from 'react-redux';
import { type GroupName, type GroupOfStep, wordsOfGroup } from '../kinds/groups';
import type { WorkStep } from '../kinds/steps';
import { useAppDispatch, useSettings } from '../store/hooks';
import { groupBroughtForward, groupFolded } from '../store/settingsSlice';
import type { RootState } from '../store/store';
import { bringIntoSight } from '../ui/bringIntoSight';
import { Tabs } from '../ui/Tabs';
import { FoldingSection } from '../ui/FoldingSection';
import { useKeyboardRoom } from '../ui/keyboardRoom';
import { useLayout } from '../ui/layout';
import { changedCue } from './changedCue';
import { useThrottledSelector } from '../store/throttled/hooks';

/** What a group of a step's panel is made of; its words stand in `words/groups`. */
export interface PanelGroup {
  readonly Content: ComponentType;
  readonly Summary?: ComponentType;
  readonly isWideOnly?: true;
  /** On a phone it is the one in front until another is. */
  readonly startsInFront?: true;
  /** On a wide screen it is folded until it is opened for the first time. */
  readonly startsFolded?: true;
  /** What the group is about that is selected now: when that changes to something, the group comes forward. */
  readonly cue?: (state: RootState) => string | null;
  /** Its cue counts when the step is come to, too: something waits there to be finished. */
  readonly isUrgent?: true;
}

/** The contents of all groups of a step: one that is missing does not compile. */
export type GroupContents<Step extends WorkStep> = Readonly<Record<GroupName<Step>, PanelGroup>>;

interface NamedGroup extends PanelGroup {
  readonly name: string;
  readonly label: string;
}

interface PanelGroupsProps {
  readonly step: WorkStep;
  readonly groups: readonly NamedGroup[];
  /** A phone shows one group at a time, chosen by tabs; a wide screen shows all as folding sections. */
  readonly isPhone: boolean;
  readonly top?: ReactNode;
}

interface StepGroupsProps<Step extends WorkStep> extends Omit<PanelGroupsProps, 'step' | 'groups'> {
  readonly step: Step;
  readonly contents: GroupContents<Step>;
}

export function PanelGroups<Step extends WorkStep>({ step, contents, ...props }: StepGroupsProps<Step>) {
  const { isPhone } = props;
  const groups = useMemo(
    () =>
      Object.entries<PanelGroup>(contents)
        .map(([name, group]): NamedGroup => ({ ...group, name, label: wordsOfGroup(step, name).label }))
        .filter(({ isWideOnly }) => !isPhone || !isWideOnly),
    [contents, step, isPhone],
  );
  return <Groups step={step} groups={groups} {...props} />;
}

function Groups(props: PanelGroupsProps) {
  const { step, groups } = props;
  const dispatch = useAppDispatch();
  const cues = useThrottledSelector((state) => groups.map(({ cue }) => cue?.(state) ?? null), shallowEqual);
  const [firstCues] = useState(() => cues.map((cue, i) => (groups[i]!.isUrgent ? null : cue)));
  const earlier = useRef(firstCues);
  const { groupInFront } = useSettings();
  const front = groups.indexOf(groupShown(groups, groupInFront[step]));
  useEffect(() => {
    if (earlier.current === cues) return;
    const changed = changedCue(earlier.current, cues, front);
    earlier.current = cues;
    if (changed !== null) dispatch(groupBroughtForward(groupOf(step, groups[changed]!.name)));
  }, [cues, dispatch, front, groups, step]);
  return props.isPhone ? <GroupsInTabs {...props} /> : <GroupsInSections {...props} />;
}

const groupOf = (step: WorkStep, group: string) => ({ step, group }) as GroupOfStep;

const groupShown = (groups: readonly NamedGroup[], inFront: string | undefined): NamedGroup =>
  groups.find(({ name }) => name === inFront) ?? groups.find((group) => group.startsInFront) ?? groups[0]!;

/** On a window lower than this the tabs come first: beneath a view of the timing they would be out of sight. */
const SHORT_PX = 700;
const FIRST_KEPT = [0];
const SECOND_KEPT = [1];

function GroupsInTabs({ step, groups, top }: PanelGroupsProps) {
  const { groupInFront } = useSettings();
  const { height } = useLayout();
  const dispatch = useAppDispatch();
  const scroller = useRef<ScrollView>(null);
  const topHeight = useRef(0);
  const scrolledTo = useRef(0);
  const isTyping = useKeyboardRoom() !== null;
  const isShort = height < SHORT_PX;
  const shown = groupShown(groups, groupInFront[step]);
  const scroll = (y: number): void => scroller.current?.scrollTo({ y, animated: false });
  // What is typed into stands just above the keyboard.
  useEffect(() => {
    if (isTyping) (document.activeElement as HTMLElement | null)?.scrollIntoView({ block: 'end' });
  }, [isTyping]);
  // A group begins at its beginning; what stands above it stays as far in sight as it was.
  useEffect(() => scroll(Math.min(scrolledTo.current, topHeight.current)), [shown]);
  const choose = (group: string): void => {
    dispatch(groupBroughtForward(groupOf(step, group)));
    // Whoever asks for a group by its tab wants to see it.
    if (isShort) scroll(topHeight.current);
  };
  const above = (
    <View
      key="top"
      className={isTyping ? 'hidden' : top ? 'px-3' : ''}
      onLayout={({ nativeEvent }) => (topHeight.current = nativeEvent.layout.height)}
    >
      {top}
    </View>
  );
  const tabs = (
    <View key="tabs" className={isTyping ? 'hidden' : 'bg-ground'}>
      <Tabs
        label={words.group}
        value={shown.name}
        options={groups.map(({ name, label }) => ({ value: name, label }))}
        onChange={choose}
      />
    </View>
  );
  return (
    <ScrollView
      ref={scroller}
      testID="panel-content"
      className="flex-1"
      stickyHeaderIndices={isShort ? FIRST_KEPT : SECOND_KEPT}
      scrollEventThrottle={50}
      onScroll={({ nativeEvent }) => (scrolledTo.current = nativeEvent.contentOffset.y)}
    >
      {isShort ? tabs : above}
      {isShort ? above : tabs}
      <View className="gap-3 px-4 pb-6 pt-3">
        <shown.Content />
      </View>
    </ScrollView>
  );
}

function GroupsInSections({ step, groups, top }: PanelGroupsProps) {
  const { groupInFront, groupsOpen } = useSettings();
  const dispatch = useAppDispatch();
  const inFront = useRef<View>(null);
  useEffect(() => bringIntoSight(inFront.current), [groupInFront, step]);
  return (
    <ScrollView className="flex-1" contentContainerClassName="px-4 pb-6">
      {top}
      {groups.map(({ name, label, Content, Summary, startsFolded = false }) => {
        const isOpen = groupsOpen[`${step} ${name}`] ?? !startsFolded;
        return (
          <FoldingSection
            key={name}
            ref={name === groupInFront[step] ? inFront : undefined}
            title={label}
            summary={Summary && <Summary />}
            isOpen={isOpen}
            onToggle={() => dispatch((isOpen ? groupFolded : groupBroughtForward)(groupOf(step, name)))}
          >
            <Content />
          </FoldingSection>
        );
      })}
    </ScrollView>
  );
}
