export { CameraGroup } from './CameraGroup';
export { NextGroup } from './NextGroup';
export { PicturesGroup } from './PicturesGroup';
export { SetPicture } from './SetPicture';
export { ShootAids } from './ShootAids';
export { StandsGroup, StandsSummary } from './StandsGroup';
export { useOpenCamera } from './useOpenCamera';
