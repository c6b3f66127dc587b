import { useRef } from 'react';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';

/** A place for one picture: empty, or with the picture chosen. */
export function PictureChoice({
  name,
  url,
  choose,
}: {
  name: string;
  url: string | undefined;
  choose: (file: File) => void;
}) {
  const say = useSay();
  const file = useRef<HTMLInputElement>(null);
  return (
    <figure className="flex flex-col gap-2 border border-line bg-paper p-3">
      <figcaption className="text-[15px] font-semibold">{name}</figcaption>
      {url && <img src={url} alt="" className="mx-auto h-[220px] object-contain" />}
      <input
        ref={file}
        type="file"
        accept="image/*"
        className="hidden"
        aria-label={name}
        onChange={(event) => {
          const one = event.target.files?.[0];
          if (one) choose(one);
          event.target.value = '';
        }}
      />
      <Button
        onClick={() => {
          file.current?.click();
        }}
      >
        {url ? say('photosurvey.choose-another') : say('photosurvey.choose')}
      </Button>
    </figure>
  );
}
