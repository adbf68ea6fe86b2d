import type { FaceMesh, Results } from '@mediapipe/face_mesh';
import { usePerformerState } from './performerState';
import type { Listener, Source } from './source';

/** Where the files of the face mesh are; they are large, and nobody else asks for them. */
const FILES = '/face_mesh/';
/** Mean brightness, of 255, below which nobody can be seen. */
const DARK = 28;
/** Milliseconds a picture takes on a machine that has no graphics card to speak of. */
const SLOW = 150;
/** Shares of a new measure in how long a picture takes. */
const SETTLES = 0.1;

/** The page in which faces are found: its library needs more than a page of ours is let do. */
const FRAME = '/face.html';

interface FaceWindow extends Window {
  FaceMesh?: new (config: { locateFile: (file: string) => string }) => FaceMesh;
}

/** Opens the frame that finds faces; it is never seen. */
function openFrame(): Promise<HTMLIFrameElement> {
  return new Promise((done, failed) => {
    const frame = document.createElement('iframe');
    frame.src = FRAME;
    frame.title = 'Finds faces in the camera’s picture';
    frame.tabIndex = -1;
    frame.setAttribute('aria-hidden', 'true');
    // hidden, but not so that its pictures stop
    frame.style.cssText =
      'position:fixed;left:0;top:0;width:2px;height:2px;border:0;opacity:0;pointer-events:none';
    frame.onload = () =>
      (frame.contentWindow as FaceWindow | null)?.FaceMesh
        ? done(frame)
        : failed(new Error('what finds faces could not be loaded'));
    document.body.append(frame);
  });
}

/** What to say about a camera that cannot be had. */
export function whyNoCamera(e: unknown): string {
  const name = e instanceof DOMException ? e.name : '';
  if (name === 'NotAllowedError')
    return 'the browser does not let this page see the camera; allow it beside the address';
  if (name === 'NotFoundError' || name === 'OverconstrainedError') return 'no camera is connected';
  if (name === 'NotReadableError') return 'the camera is in use by another program';
  if (typeof navigator !== 'undefined' && !navigator.mediaDevices)
    return 'browsers give the camera only to pages on this machine or over https';
  return e instanceof Error ? e.message : String(e);
}

/** The largest of the faces in a picture: the one that is nearest. */
export function nearest<P extends { x: number; y: number }>(faces: P[][]): P[] | null {
  const wide = (face: P[]) => {
    const across = face.map((p) => p.x);
    return Math.max(...across) - Math.min(...across);
  };
  return faces.reduce<P[] | null>((best, f) => (best === null || wide(f) > wide(best) ? f : best), null);
}

/** Why nobody is seen: by how bright a picture is, red, green, blue and opacity of each of its dots. */
export function whyNobody(dots: Uint8ClampedArray): string {
  let sum = 0;
  for (let i = 0; i < dots.length; i += 4)
    sum += 0.2126 * dots[i]! + 0.7152 * dots[i + 1]! + 0.0722 * dots[i + 2]!;
  return sum / (dots.length / 4) < DARK ? 'it is too dark' : 'no face is seen';
}

/** One's own face, by the camera. Its picture stays in the page. */
export function watchCamera(to: Listener): Source {
  let closed = false;
  let stream: MediaStream | null = null;
  let mesh: FaceMesh | null = null;
  let frame: HTMLIFrameElement | null = null;
  const end = () => {
    stream?.getTracks().forEach((t) => t.stop());
    usePerformerState.setState({ stream: null });
    void mesh?.close();
    frame?.remove();
  };
  const begin = async () => {
    stream = await navigator.mediaDevices.getUserMedia({
      video: { width: { ideal: 640 }, height: { ideal: 480 }, frameRate: { ideal: 30 } },
    });
    usePerformerState.setState({ stream });
    frame = await openFrame();
    const within = frame.contentWindow as FaceWindow;
    // one of the frame's own: the library knows no others
    const video = within.document.createElement('video');
    within.document.body.append(video);
    video.muted = true;
    video.playsInline = true;
    video.srcObject = stream;
    let unplugged = false;
    stream.getVideoTracks()[0]!.addEventListener('ended', () => {
      unplugged = true;
      to.leaves('the camera was unplugged');
    });
    await video.play();
    if (closed) return end();
    mesh = new within.FaceMesh!({ locateFile: (file) => FILES + file });
    mesh.setOptions({ maxNumFaces: 2, refineLandmarks: true });
    let found: Results | null = null;
    mesh.onResults((r) => void (found = r));
    await mesh.initialize();
    to.comes('Camera', 0);
    const small = document.createElement('canvas');
    small.width = 16;
    small.height = 12;
    let behind = 0;
    let pictures = 0;
    let told = 0;
    let said = '';
    while (!closed && !unplugged) {
      await nextPicture(video);
      if (closed || unplugged) break;
      const began = performance.now();
      await mesh.send({ image: video });
      const took = performance.now() - began;
      // the first picture waits for everything to be made ready
      behind = pictures === 0 ? 0 : pictures === 1 ? took : behind + SETTLES * (took - behind);
      pictures++;
      // one face is looked for in half the time
      if (pictures === 4 && behind > SLOW) mesh.setOptions({ maxNumFaces: 1 });
      if (performance.now() - told > 1000) {
        told = performance.now();
        // a picture is half of its own length old when it comes
        to.lags?.(Math.round(behind + 17));
      }
      const faces = (found as Results | null)?.multiFaceLandmarks ?? [];
      const face = nearest(faces);
      if (face) {
        to.sees?.(
          Float64Array.from(face.flatMap((p) => [p.x, p.y, p.z])),
          video.videoWidth,
          video.videoHeight,
        );
        const trouble = faces.length > 1 ? 'two faces: the nearer one is followed' : '';
        if (trouble !== said) to.troubles(trouble);
        said = trouble;
      } else {
        const paint = small.getContext('2d', { willReadFrequently: true })!;
        paint.drawImage(video, 0, 0, small.width, small.height);
        to.loses(whyNobody(paint.getImageData(0, 0, small.width, small.height).data));
      }
    }
    end();
  };
  begin().catch((e: unknown) => {
    end();
    if (!closed) to.leaves(whyNoCamera(e));
  });
  return {
    close: () => {
      closed = true;
      if (!mesh) end();
    },
  };
}

/** Waits for a picture of the video that was not seen yet; not for ever, as none comes from a tab that is out of sight. */
function nextPicture(video: HTMLVideoElement): Promise<void> {
  return new Promise((done) => {
    const late = window.setTimeout(done, 200);
    video.requestVideoFrameCallback(() => {
      window.clearTimeout(late);
      done();
    });
  });
}
