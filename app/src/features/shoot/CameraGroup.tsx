import { type ComponentType, useEffect, useState } from 'react';
import { View } from 'react-native';
import { type CameraChoice, CAMERAS } from '../../cameras/camera';
import { useCamera } from '../../cameras/cameraSession';
import { useAppDispatch, useSettings } from '../../store/hooks';
import { type CameraName, settingsChanged, type ShootGuides } from '../../store/settingsSlice';
import { Segmented } from '../../ui/Segmented';
import { Slider } from '../../ui/Slider';
import { Toggle } from '../../ui/Toggle';
import { Words } from '../../ui/Words';
import { shootWords as words } from '../../words/shoot';
import { PerspectiveCard } from './PerspectiveCard';

const KINDS: readonly { readonly value: CameraName; readonly label: string }[] = [
  { value: 'stage', label: words.cardboardStage },
  { value: 'webcam', label: words.webcam },
  { value: 'folder', label: words.folder },
];

const HELP: Readonly<Record<CameraName, string>> = {
  stage: words.stageHelp,
  webcam: words.webcamHelp,
  folder: words.folderHelp,
};

const GUIDES: readonly { readonly value: ShootGuides; readonly label: string }[] = [
  { value: 'all', label: words.guidesAll },
  { value: 'cross', label: words.guidesCross },
  { value: 'none', label: words.guidesNone },
];

/** Which camera there is, and what lies over its picture. @param props.PairButton leads to pairing a phone */
export function CameraGroup({ PairButton }: { readonly PairButton: ComponentType }) {
  const settings = useSettings();
  const dispatch = useAppDispatch();
  const change = (some: Partial<typeof settings>): void => void dispatch(settingsChanged(some));
  const sentence = useCamera((state) => state.sentence);
  const { camera, onion } = settings;
  return (
    <View className="gap-3">
      <Segmented
        label={words.cameraKind}
        value={camera}
        options={KINDS}
        onChange={(value) => change({ camera: value, cameraDevice: null })}
      />
      <Words tone={sentence ? 'plum' : 'soft'} role={sentence ? 'alert' : undefined}>
        {sentence ?? HELP[camera]}
      </Words>
      <Devices key={camera} />
      <Slider
        label={words.onion}
        text={`${Math.round(onion * 100)}%`}
        value={onion}
        min={0}
        max={1}
        onChange={(value) => change({ onion: value })}
      />
      <Words strong>{words.guides}</Words>
      <Segmented
        label={words.guides}
        value={settings.shootGuides}
        options={GUIDES}
        onChange={(value) => change({ shootGuides: value })}
      />
      <Toggle
        label={words.speaks}
        value={settings.speaksIncrement}
        onChange={(value) => change({ speaksIncrement: value })}
      />
      <Toggle
        label={words.clicks}
        value={settings.clicksOnTake}
        onChange={(value) => change({ clicksOnTake: value })}
      />
      <PerspectiveCard />
      <PairButton />
    </View>
  );
}

/** Several cameras of one kind, and the sizes of their pictures. */
function Devices() {
  const { camera, cameraDevice, cameraWidth } = useSettings();
  const dispatch = useAppDispatch();
  const status = useCamera((state) => state.status);
  const [devices, setDevices] = useState<readonly CameraChoice[]>([]);
  const { list, widths } = CAMERAS[camera];
  // Browsers name cameras only when one of them was allowed.
  useEffect(() => {
    let isWanted = true;
    list().then(
      (found) => isWanted && setDevices(found),
      () => undefined,
    );
    return () => {
      isWanted = false;
    };
  }, [list, status]);
  return (
    <>
      {devices.length > 1 && (
        <Segmented
          label={words.whichCamera}
          value={cameraDevice ?? devices[0]!.id}
          options={devices.map(({ id, label }) => ({ value: id, label }))}
          onChange={(device) => dispatch(settingsChanged({ cameraDevice: device }))}
        />
      )}
      {widths.length > 0 && (
        <Segmented
          label={words.pictureWidth}
          value={cameraWidth}
          options={widths.map((px) => ({ value: px, label: words.widthPx(px) }))}
          onChange={(width) => dispatch(settingsChanged({ cameraWidth: width }))}
        />
      )}
    </>
  );
}
