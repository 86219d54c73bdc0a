import { type Figure, isCamera, lookOf, type Shot } from '@humble/core';
import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import More from 'lucide-react-native/icons/ellipsis-vertical';
import Eye from 'lucide-react-native/icons/eye';
import EyeOff from 'lucide-react-native/icons/eye-off';
import ImagePlus from 'lucide-react-native/icons/image-plus';
import Lock from 'lucide-react-native/icons/lock';
import LockOpen from 'lucide-react-native/icons/lock-open';
import Pencil from 'lucide-react-native/icons/pencil';
import UserPlus from 'lucide-react-native/icons/user-plus';
import Video from 'lucide-react-native/icons/video';
import { type ReactNode, useState } from 'react';
import { Pressable, View } from 'react-native';
import { addCamera, addFigure, chooseFigure, toggleSolo } from '../../commands/figures';
import { figureMenu } from '../../commands/menus/figuresMenu';
import { useAppDispatch, useAppStore, useEdit } from '../../store/hooks';
import { ActionRow } from '../../ui/ActionRow';
import { Button, IconButton } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { Dialog } from '../../ui/Dialog';
import { Menu } from '../../ui/Menu';
import { SortableList } from '../../ui/SortableList';
import { TextField } from '../../ui/TextField';
import { NumericText, Words } from '../../ui/Words';
import { cameraMoveWords } from '../../words/cameraMove';
import { figuresWords as words } from '../../words/figures';
import { TERMS } from '../../words/terms';
import { AttachCard } from './AttachCard';
import { BringProgress } from './BringProgress';
import { LookPicture } from './LookPicture';
import { useBringDrawings } from './useBringDrawings';
import { selectActiveMove, selectActiveWaiting } from '../../store/selectors/active';
import { useThrottledEditor, useThrottledSelector, useThrottledShot } from '../../store/throttled/hooks';

const PICTURE_PX = 36;

export function FiguresGroup() {
  const shot = useThrottledShot();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const soloId = useThrottledEditor((editor) => editor.soloFigureId);
  const bringing = useBringDrawings(null);
  const [open, setOpen] = useState<string | null>(null);
  const { figures } = shot;
  const opened = figures.find(({ id }) => id === open);
  const frontFirst = [...figures].reverse();
  const named = (id: string): string => figures.find((figure) => figure.id === id)?.name ?? '';
  return (
    <>
      <Card title={words.figures} term={TERMS.figure} aside={`${figures.length}`}>
        {figures.length === 0 && <Words tone="soft">{words.noFigures}</Words>}
        <SortableList
          label={words.figures}
          ids={frontFirst.map(({ id }) => id)}
          gripLabel={(id) => words.dragToReorder(named(id))}
          onMove={(figureId, index) => edit('orderFigure', { figureId, to: figures.length - 1 - index })}
          renderRow={(id, grip) => {
            const figure = figures.find((one) => one.id === id);
            return figure && <FigureRow figure={figure} grip={grip} onMore={() => setOpen(id)} />;
          }}
        />
        {soloId !== null && figures.some(({ id }) => id === soloId) && (
          <View className="mt-2 flex-row flex-wrap items-center gap-2">
            <Words role="status" tone="plum" className="shrink">
              {words.alone}
            </Words>
            <Button label={words.showAll} onPress={() => dispatch(toggleSolo(soloId))} />
          </View>
        )}
        <ActionRow
          actions={[
            {
              label: words.addAStandIn,
              icon: UserPlus,
              onPress: () => dispatch(addFigure({ kind: 'stand-in', standIn: 'peg' })),
            },
            {
              label: words.importPictures,
              icon: ImagePlus,
              disabled: bringing.progress !== null,
              onPress: () => void bringing.bring(),
            },
            !figures.some(isCamera) && {
              label: cameraMoveWords.addCamera,
              icon: Video,
              onPress: () => dispatch(addCamera()),
            },
          ]}
        />
        <BringProgress {...bringing} />
      </Card>
      <AttachCard />
      {opened && (
        <FigureMenu
          figure={opened}
          index={figures.indexOf(opened)}
          count={figures.length}
          onClose={() => setOpen(null)}
        />
      )}
    </>
  );
}

export function FiguresSummary() {
  const count = useThrottledShot().figures.length;
  return <NumericText tone="soft">{String(count)}</NumericText>;
}

function carrierOf({ moves, arcs }: Shot, figureId: string): string {
  const move = moves.find((one) => one.figureId === figureId);
  const arc = arcs.find(({ id }) => id === move?.arcId);
  return arc ? words.ridesArc(arc.name) : words.waits;
}

interface FigureRowProps {
  readonly figure: Figure;
  readonly grip: ReactNode;
  readonly onMore: () => void;
}

function FigureRow({ figure, grip, onMore }: FigureRowProps) {
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const { id: figureId, name, hidden, locked } = figure;
  const isActive = useThrottledSelector(
    (state) => (selectActiveWaiting(state) ?? selectActiveMove(state))?.figureId === figureId,
  );
  const carrier = useThrottledSelector(({ shot }) =>
    shot.present.shot ? carrierOf(shot.present.shot, figureId) : '',
  );
  return (
    <View
      testID={`figure-row-${name}`}
      className={`-mx-2 flex-row items-center rounded-large ${isActive ? 'bg-brasswash' : 'bg-card'}`}
    >
      {grip}
      <Pressable
        role="button"
        aria-label={words.workOn(name)}
        aria-pressed={isActive}
        onPress={() => dispatch(chooseFigure(figureId))}
        className="min-h-[52px] min-w-0 flex-1 flex-row items-center gap-3"
      >
        <LookPicture look={lookOf(figure)} size={PICTURE_PX} />
        <View className="min-w-0 shrink">
          <Words strong={isActive} numberOfLines={1}>
            {name}
          </Words>
          <Words tone="soft" size="tiny" numberOfLines={1}>
            {carrier}
          </Words>
        </View>
      </Pressable>
      <IconButton
        label={hidden ? words.showNamed(name) : words.hideNamed(name)}
        icon={hidden ? EyeOff : Eye}
        pressed={hidden}
        onPress={() => edit('setFigure', { figureId, hidden: !hidden })}
      />
      <IconButton
        label={locked ? words.unlockNamed(name) : words.lockNamed(name)}
        icon={locked ? Lock : LockOpen}
        pressed={locked}
        onPress={() => edit('setFigure', { figureId, locked: !locked })}
      />
      <IconButton label={words.moreFor(name)} icon={More} onPress={onMore} />
    </View>
  );
}

interface FigureMenuProps {
  readonly figure: Figure;
  readonly index: number;
  readonly count: number;
  readonly onClose: () => void;
}

function FigureMenu({ figure, index, count, onClose }: FigureMenuProps) {
  const store = useAppStore();
  const edit = useEdit();
  const [isNaming, setNaming] = useState(false);
  const figureId = figure.id;
  if (isNaming) return <NameDialog figure={figure} onClose={onClose} />;
  return (
    <Menu
      title={figure.name}
      onClose={onClose}
      items={[
        { label: words.nameIt, icon: Pencil, onPress: () => setNaming(true), staysOpen: true },
        {
          label: words.moveForward,
          icon: ChevronUp,
          disabled: index === count - 1,
          onPress: () => edit('orderFigure', { figureId, to: index + 1 }),
        },
        {
          label: words.moveBack,
          icon: ChevronDown,
          disabled: index === 0,
          onPress: () => edit('orderFigure', { figureId, to: index - 1 }),
        },
        ...(figureMenu(store, figureId)?.items ?? []),
      ]}
    />
  );
}

function NameDialog({ figure, onClose }: { readonly figure: Figure; readonly onClose: () => void }) {
  const edit = useEdit();
  const [name, setName] = useState(figure.name);
  const isNamed = name.trim() !== '';
  const keep = (): void => {
    if (!isNamed) return;
    edit('setFigure', { figureId: figure.id, name: name.trim() });
    onClose();
  };
  return (
    <Dialog title={words.nameIt} isOpen onClose={onClose}>
      <TextField
        label={words.nameIt}
        value={name}
        onChange={setName}
        onSubmit={keep}
        error={isNamed ? undefined : words.aFigureNeedsAName}
      />
      <Button label={words.keep} kind="brass" onPress={keep} disabled={!isNamed} />
    </Dialog>
  );
}
