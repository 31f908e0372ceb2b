import { useEffect, useState } from 'react';
import { errorOf } from '@/core/userError';
import { useEngine } from './engineContext';
import { useSettings } from './settings';

/** The longer side of a kept picture, in px: as wide as a usual screen. */
const LONGEST = 1440;
const QUALITY = 0.8;
const KIND = 'image/jpeg';

/** Why a picture can't be taken, in words for the person. */
class PictureError extends errorOf('file') {}

/**
 * A picture drawn anew, small enough to be kept. Nothing of the file itself is kept, so nothing in
 * it can do anything.
 * @throws PictureError when the file holds no picture that the browser can read.
 */
export async function smallPicture(file: File): Promise<File> {
  let picture: ImageBitmap;
  try {
    picture = await createImageBitmap(file);
  } catch {
    throw new PictureError(
      `${file.name} is not a picture that can be read here. PNG, JPEG and WebP files can.`,
    );
  }
  const share = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * share));
  canvas.height = Math.max(1, Math.round(picture.height * share));
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, KIND, QUALITY));
  if (!blob) throw new PictureError(`${file.name} could not be made smaller.`);
  return new File([blob], file.name, { type: KIND });
}

/** An address of the picture behind Today; null while it comes, and when there is none. */
export function useTodayPicture(): string | null {
  const { engine } = useEngine();
  const { todayPicture } = useSettings();
  const id = todayPicture?.id;
  const [shown, setShown] = useState<{ id: string; url: string } | null>(null);
  useEffect(() => {
    if (!engine || id === undefined) return;
    let url: string | null = null;
    let isGone = false;
    void engine.files.fileContent(id).then((content) => {
      if (isGone || !content) return;
      url = URL.createObjectURL(new Blob([content], { type: KIND }));
      setShown({ id, url });
    });
    return () => {
      isGone = true;
      if (url) URL.revokeObjectURL(url);
    };
  }, [engine, id]);
  return shown?.id === id ? (shown?.url ?? null) : null;
}
