import { say } from '../text/say';

/** Pixels of the longer side; more than this the server would take off anyway. */
const LONGEST_SIDE = 1600;
const QUALITY = 0.85;

/**
 * A photograph drawn anew, upright and scaled down: it goes quicker over a weak signal, and nothing of where it was taken goes
 * with it. Fails with words where the file is no picture this browser knows.
 */
export async function shrunk(file: Blob): Promise<Blob> {
  let image: ImageBitmap;
  try {
    image = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    throw new Error(say('photo.no-picture'));
  }
  const scale = Math.min(1, LONGEST_SIDE / Math.max(image.width, image.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(image.width * scale));
  canvas.height = Math.max(1, Math.round(image.height * scale));
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  image.close();
  return new Promise((done, failed) => {
    canvas.toBlob(
      (picture) => {
        if (picture) done(picture);
        else failed(new Error(say('photo.no-picture')));
      },
      'image/jpeg',
      QUALITY,
    );
  });
}
