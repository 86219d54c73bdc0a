import { Refusal } from '../ui/refusal';
import { shootWords as words } from '../words/shoot';
import type { CameraKind, CameraWish, OpenCamera, TakenFrame } from './camera';

const JPEG_QUALITY = 0.95;

const REFUSED: Readonly<Record<string, string>> = {
  NotAllowedError: words.cameraNotAllowed,
  NotFoundError: words.noCamera,
  NotReadableError: words.cameraInUse,
  OverconstrainedError: words.noCamera,
};

/** @throws Refusal where the browser has no cameras: on an address that is not secure, it hides them */
function devices(): MediaDevices {
  const found: MediaDevices | undefined = navigator.mediaDevices;
  if (!found) throw new Refusal(words.browserHasNoCameras);
  return found;
}

async function streamOf({ device, width }: CameraWish): Promise<MediaStream> {
  try {
    return await devices().getUserMedia({
      audio: false,
      video: { width: { ideal: width }, ...(device && { deviceId: { exact: device } }) },
    });
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw new Refusal(REFUSED[(error as Error).name] ?? words.cameraFailed);
  }
}

async function take(video: HTMLVideoElement): Promise<TakenFrame> {
  const size = { width: video.videoWidth, height: video.videoHeight };
  if (size.width === 0) throw new Refusal(words.noPicture);
  const canvas = new OffscreenCanvas(size.width, size.height);
  canvas.getContext('2d')!.drawImage(video, 0, 0);
  return { bytes: await canvas.convertToBlob({ type: 'image/jpeg', quality: JPEG_QUALITY }), ...size };
}

async function open(wish: CameraWish): Promise<OpenCamera> {
  const stream = await streamOf(wish);
  const video = Object.assign(document.createElement('video'), {
    muted: true,
    playsInline: true,
    srcObject: stream,
  });
  await video.play().catch(() => undefined);
  const [track] = stream.getVideoTracks();
  const { width = 1280, height = 720 } = track?.getSettings() ?? {};
  let isLost = false;
  const lost = (): void => {
    isLost = true;
    wish.onLost(words.cameraWentAway);
  };
  track?.addEventListener('ended', lost);
  return {
    live: video,
    size: { width, height },
    take: () => {
      if (isLost) return Promise.reject(new Refusal(words.cameraWentAway));
      return take(video);
    },
    close: () => {
      track?.removeEventListener('ended', lost);
      for (const one of stream.getTracks()) one.stop();
      video.remove();
    },
  };
}

/** A camera that the browser knows. */
export const webcam: CameraKind = {
  list: async () => {
    const found = await devices().enumerateDevices();
    return found
      .filter(({ kind }) => kind === 'videoinput')
      .map(({ deviceId, label }, i) => ({ id: deviceId, label: label || words.cameraNumber(i + 1) }));
  },
  open,
  widths: [640, 1280, 1920, 3840],
};
