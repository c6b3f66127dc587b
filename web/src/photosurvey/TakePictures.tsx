import { inFarm } from '../api/farm';
import { useState } from 'react';
import { Link } from 'react-router';
import type { PhotoFigures } from '../api/client';
import { NumberField } from '../plant/CountFields';
import { useSay, type Code } from '../text/say';
import { Button } from '../ui/Button';
import { PictureChoice } from './PictureChoice';
import { untouched, type Picture } from './tracing';

const QUARTER = 90;
const CIRCLE = 360;
const ADVICE: Code[] = [
  'photosurvey.advice-staff',
  'photosurvey.advice-place',
  'photosurvey.advice-level',
  'photosurvey.advice-behind',
];

/** One picture as it was chosen. */
interface Chosen {
  file: Blob;
  url: string;
  width: number;
  height: number;
}

/** A drawn picture as a photograph would be: pixels. */
async function rasterised(drawn: Blob): Promise<Blob> {
  const url = URL.createObjectURL(drawn);
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = image.naturalWidth;
    canvas.height = image.naturalHeight;
    canvas.getContext('2d')?.drawImage(image, 0, 0);
    return await new Promise((done, failed) => {
      canvas.toBlob((picture) => {
        if (picture) done(picture);
        else failed(new Error());
      }, 'image/jpeg');
    });
  } finally {
    URL.revokeObjectURL(url);
  }
}

/** The beginning: how to take the pictures, and the pictures themselves. */
export function TakePictures({
  id,
  label,
  rowBearing,
  figures,
  taken,
}: {
  id: number;
  label: string;
  /** Degrees from north. */
  rowBearing: number;
  figures: PhotoFigures;
  taken: (pictures: Picture[], files: Blob[], staff_cm: number) => void;
}) {
  const say = useSay();
  const [chosen, setChosen] = useState<(Chosen | undefined)[]>([undefined, undefined]);
  const [staff, setStaff] = useState<number | undefined>(figures.staff_cm);
  const [failed, setFailed] = useState('');
  const bearings = [rowBearing, (rowBearing + QUARTER) % CIRCLE];

  const choose = async (at: number, file: Blob) => {
    setFailed('');
    const url = URL.createObjectURL(file);
    const image = new Image();
    image.src = url;
    try {
      await image.decode();
    } catch {
      URL.revokeObjectURL(url);
      setFailed(say('photo.no-picture'));
      return;
    }
    const one = { file, url, width: image.naturalWidth, height: image.naturalHeight };
    setChosen((before) => before.map((other, i) => (i === at ? one : other)));
  };
  const sample = async () => {
    setFailed('');
    try {
      for (const at of [0, 1]) {
        const got = await fetch(inFarm(`/api/survey/photographs/samples/${at + 1}`));
        if (!got.ok) throw new Error(say('photosurvey.no-sample'));
        await choose(at, await rasterised(await got.blob()));
      }
    } catch {
      setFailed(say('photosurvey.no-sample'));
    }
  };
  const begin = () => {
    const both = chosen.filter((one) => one !== undefined);
    taken(
      chosen.flatMap((one, i) => (one ? [untouched(one.width, one.height, bearings[i] ?? 0)] : [])),
      both.map((one) => one.file),
      staff ?? figures.staff_cm,
    );
  };
  return (
    <div className="mx-auto max-w-[860px] px-6 py-6 max-sm:px-4">
      <h1 className="text-[26px] font-bold">{say('photosurvey.title', { label })}</h1>
      <p className="text-[15px] text-muted">{say('photosurvey.what-it-does')}</p>
      <ol className="mt-4 grid list-decimal gap-1.5 pl-5 text-[15px]">
        {ADVICE.map((code) => (
          <li key={code}>{say(code, { range: `${figures.bestFrom_m}–${figures.bestTo_m}` })}</li>
        ))}
      </ol>
      <div className="mt-5 grid grid-cols-2 gap-4 max-sm:grid-cols-1">
        {chosen.map((one, i) => (
          <PictureChoice
            key={i}
            name={say(i === 0 ? 'photosurvey.along-row' : 'photosurvey.across-row')}
            url={one?.url}
            choose={(file) => void choose(i, file)}
          />
        ))}
      </div>
      {failed !== '' && (
        <p role="alert" className="mt-3 font-semibold text-lichen">
          {failed}
        </p>
      )}
      <div className="mt-4 flex flex-wrap items-end gap-3">
        <NumberField name={say('photosurvey.staff')} unit="cm" value={staff} set={setStaff} />
        <Button weight="ink" disabled={!chosen[0] || staff === undefined} onClick={begin}>
          {chosen[0] && !chosen[1] ? say('photosurvey.begin-one') : say('photosurvey.begin')}
        </Button>
        <Button weight="quiet" onClick={() => void sample()}>
          {say('photosurvey.try-samples')}
        </Button>
        <Link to={`/trees/${id}/survey`} className="py-2 text-[14px] underline underline-offset-4">
          {say('photosurvey.by-hand')}
        </Link>
      </div>
      {chosen[0] && !chosen[1] && (
        <p className="mt-2 text-[14px] text-muted">{say('photosurvey.one-only')}</p>
      )}
    </div>
  );
}
