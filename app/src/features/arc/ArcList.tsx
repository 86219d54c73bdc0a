import { arcWords as words } from '../../words/arc';
import { type Arc, type ArcColour, arcColours } from '@humble/core';
import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import More from 'lucide-react-native/icons/ellipsis-vertical';
import Eye from 'lucide-react-native/icons/eye';
import EyeOff from 'lucide-react-native/icons/eye-off';
import Lock from 'lucide-react-native/icons/lock';
import LockOpen from 'lucide-react-native/icons/lock-open';
import MapPin from 'lucide-react-native/icons/map-pin';
import Pencil from 'lucide-react-native/icons/pencil';
import Trash from 'lucide-react-native/icons/trash';
import UserCheck from 'lucide-react-native/icons/user-check';
import UserPlus from 'lucide-react-native/icons/user-plus';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useAppDispatch, useEdit } from '../../store/hooks';
import { attachFigure } from '../../commands/figures';
import { arcActivated } from '../../store/editorSlice';
import { ARC_TONES } from '../../ui/arcColour';
import { Button, IconButton } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { Dialog } from '../../ui/Dialog';
import { Menu, type MenuItem } from '../../ui/Menu';
import { TextField } from '../../ui/TextField';
import { NumericText, Words } from '../../ui/Words';
import { selectActiveArc } from '../../store/selectors/active';
import { useThrottledSelector, useThrottledShotValue } from '../../store/throttled/hooks';

export function ArcList() {
  const arcs = useThrottledShotValue((shot) => shot.arcs);
  const carried = useThrottledShotValue((shot) => shot.moves);
  const activeId = useThrottledSelector((state) => selectActiveArc(state)?.id);
  const [open, setOpen] = useState<string | null>(null);
  const opened = arcs.find(({ id }) => id === open);
  return (
    <Card title={words.arcs} aside={`${arcs.length}`}>
      {arcs.length === 0 && <Words tone="soft">{words.noArcsYet}</Words>}
      <View role="list" aria-label={words.arcs}>
        {[...arcs].reverse().map((arc) => (
          <ArcRow
            key={arc.id}
            arc={arc}
            isActive={arc.id === activeId}
            figures={carried.filter((move) => move.arcId === arc.id).length}
            onMore={() => setOpen(arc.id)}
          />
        ))}
      </View>
      {opened && (
        <ArcMenu
          arc={opened}
          index={arcs.indexOf(opened)}
          count={arcs.length}
          onClose={() => setOpen(null)}
        />
      )}
    </Card>
  );
}

export function ArcListSummary() {
  const count = useThrottledShotValue((shot) => shot.arcs.length);
  return <NumericText tone="soft">{String(count)}</NumericText>;
}

interface ArcRowProps {
  readonly arc: Arc;
  readonly isActive: boolean;
  readonly figures: number;
  readonly onMore: () => void;
}

function ArcRow({ arc, isActive, figures, onMore }: ArcRowProps) {
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const { id, name, hidden, locked, colour } = arc;
  return (
    <View
      role="listitem"
      testID={`arc-row-${name}`}
      className={`-mx-2 flex-row items-center rounded-large pl-2 ${isActive ? 'bg-brasswash' : ''}`}
    >
      <Pressable
        role="button"
        aria-label={words.workOn(name)}
        aria-pressed={isActive}
        onPress={() => dispatch(arcActivated(id))}
        className="min-h-[48px] min-w-0 flex-1 flex-row items-center gap-3"
      >
        <View style={{ backgroundColor: ARC_TONES[colour] }} className="h-[4px] w-[20px] rounded-full" />
        <View className="min-w-0 shrink">
          <Words strong={isActive} numberOfLines={1}>
            {name}
          </Words>
          <Words tone="soft" size="tiny">
            {figures === 0
              ? words.carriesNothing
              : figures === 1
                ? words.carriesAFigure
                : words.carriesFigures(figures)}
          </Words>
        </View>
      </Pressable>
      <IconButton
        label={hidden ? words.show(name) : words.hide(name)}
        icon={hidden ? EyeOff : Eye}
        pressed={hidden}
        onPress={() => edit('setArc', { arcId: id, hidden: !hidden })}
      />
      <IconButton
        label={locked ? words.unlock(name) : words.lock(name)}
        icon={locked ? Lock : LockOpen}
        pressed={locked}
        onPress={() => edit('setArc', { arcId: id, locked: !locked })}
      />
      <IconButton label={words.moreFor(name)} icon={More} onPress={onMore} />
    </View>
  );
}

/** So many figures that wait are offered. */
const MAX_WAITING = 5;

interface ArcMenuProps {
  readonly arc: Arc;
  readonly index: number;
  readonly count: number;
  readonly onClose: () => void;
}

function ArcMenu({ arc, index, count, onClose }: ArcMenuProps) {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const figures = useThrottledShotValue((shot) => shot.figures);
  const waiting = useThrottledShotValue((shot) => shot.waiting);
  const [isNaming, setNaming] = useState(false);
  const arcId = arc.id;
  if (isNaming) return <NameDialog arc={arc} onClose={onClose} />;
  const nameOf = (figureId: string): string => figures.find(({ id }) => id === figureId)?.name ?? '';
  const waitingOn = waiting.slice(0, MAX_WAITING).flatMap(({ figureId }): MenuItem[] => [
    {
      label: words.putOnIt(nameOf(figureId)),
      icon: UserCheck,
      onPress: () => dispatch(attachFigure(figureId, arcId, 'start')),
    },
    {
      label: words.putOnItWhereItIs(nameOf(figureId)),
      icon: MapPin,
      onPress: () => dispatch(attachFigure(figureId, arcId, 'where-it-is')),
    },
  ]);
  return (
    <Menu
      title={arc.name}
      onClose={onClose}
      items={[
        { label: words.nameAndColour, icon: Pencil, onPress: () => setNaming(true), staysOpen: true },
        {
          label: words.moveUp,
          icon: ChevronUp,
          disabled: index === count - 1,
          onPress: () => edit('orderArc', { arcId, to: index + 1 }),
        },
        {
          label: words.moveDown,
          icon: ChevronDown,
          disabled: index === 0,
          onPress: () => edit('orderArc', { arcId, to: index - 1 }),
        },
        ...waitingOn,
        { label: words.addAFigure, icon: UserPlus, onPress: () => edit('putFigureOn', { arcId }) },
        {
          label: words.removeThisArc,
          icon: Trash,
          disabled: arc.locked,
          onPress: () => edit('removeArc', { arcId }),
        },
      ]}
    />
  );
}

const COLOUR_NAMES: Readonly<Record<ArcColour, string>> = {
  indigo: words.indigo,
  moss: words.moss,
  plum: words.plum,
  teal: words.teal,
  graphite: words.graphite,
};

function NameDialog({ arc, onClose }: { readonly arc: Arc; readonly onClose: () => void }) {
  const edit = useEdit();
  const [name, setName] = useState(arc.name);
  const [tone, setTone] = useState(arc.colour);
  const isNamed = name.trim() !== '';
  const keep = (): void => {
    if (isNamed && edit('setArc', { arcId: arc.id, name: name.trim().slice(0, 120), colour: tone }))
      onClose();
  };
  return (
    <Dialog title={words.nameAndColour} isOpen onClose={onClose}>
      <TextField
        label={words.name}
        value={name}
        onChange={setName}
        onSubmit={keep}
        error={isNamed ? undefined : words.anArcNeedsAName}
      />
      <View role="radiogroup" aria-label={words.colour} className="flex-row flex-wrap gap-2">
        {arcColours.map((colour) => (
          <Pressable
            key={colour}
            role="radio"
            aria-checked={tone === colour}
            aria-label={COLOUR_NAMES[colour]}
            onPress={() => setTone(colour)}
            className={`min-h-[44px] flex-row items-center gap-2 rounded-large border px-3 ${tone === colour ? 'border-brass bg-brasswash' : 'border-line'}`}
          >
            <View style={{ backgroundColor: ARC_TONES[colour] }} className="h-[4px] w-[20px] rounded-full" />
            <Words>{COLOUR_NAMES[colour]}</Words>
          </Pressable>
        ))}
      </View>
      <Button label={words.keep} kind="brass" onPress={keep} disabled={!isNamed} />
    </Dialog>
  );
}
