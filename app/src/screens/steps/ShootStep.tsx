import {
  CameraGroup,
  NextGroup,
  PicturesGroup,
  StandsGroup,
  StandsSummary,
  useOpenCamera,
} from '../../features/shoot';
import { PairButton } from '../../features/pairing';
import { type GroupContents, PanelGroups } from '../PanelGroups';
import type { PanelProps } from './stepParts';

export { SetPicture, ShootAids } from '../../features/shoot';

const CameraAndPhone = () => <CameraGroup PairButton={PairButton} />;

const CONTENTS: GroupContents<'shoot'> = {
  next: { Content: NextGroup, startsInFront: true },
  stands: { Content: StandsGroup, Summary: StandsSummary },
  pictures: { Content: PicturesGroup, startsFolded: true },
  camera: { Content: CameraAndPhone, startsFolded: true },
};

export function ShootStep({ isPhone }: PanelProps) {
  useOpenCamera();
  return <PanelGroups step="shoot" contents={CONTENTS} isPhone={isPhone} />;
}
