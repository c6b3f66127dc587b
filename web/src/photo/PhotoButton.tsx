import { useRef, useState } from 'react';
import { useSay } from '../text/say';
import { shrunk } from './shrunk';

/** A button that takes photographs in, from the camera where there is one, scaled down one after the other. */
export function PhotoButton({
  className,
  take,
}: {
  className: string;
  take: (picture: Blob) => Promise<unknown>;
}) {
  const say = useSay();
  const file = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState('');
  const takeAll = async (files: File[]) => {
    setBusy(true);
    setFailed('');
    try {
      for (const one of files) await take(await shrunk(one));
    } catch (error) {
      setFailed(error instanceof Error ? error.message : say('photo.not-kept'));
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <input
        ref={file}
        type="file"
        accept="image/*"
        multiple
        className="hidden"
        aria-label={say('photo.files')}
        onChange={(event) => {
          void takeAll([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
      <button
        type="button"
        disabled={busy}
        className={className}
        onClick={() => {
          file.current?.click();
        }}
      >
        {busy ? say('photo.taking') : say('photo.add')}
      </button>
      {failed !== '' && (
        <p role="alert" className="mt-1 font-semibold text-lichen">
          {failed}
        </p>
      )}
    </>
  );
}
