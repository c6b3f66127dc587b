import { useEffect, useMemo } from 'react';
import type { FieldSheet } from '../api/client';
import { newId } from '../api/newId';
import { named } from '../text/term';
import { useSay } from '../text/say';
import { dropPhoto, keepPhoto, movePhoto, type Moment, type PendingPhoto } from '../photo/pending';
import { PhotoButton } from '../photo/PhotoButton';
import { todayOf, type OpenVisit } from './visits';

const NEXT: Record<Moment, Moment> = { before: 'after', after: 'before', seen: 'seen' };

/** The photographs of a visit that is going on: kept on the phone until the tree is finished and there is signal. */
export function VisitPhotos({
  sheet,
  visit,
  photos,
  begin,
}: {
  sheet: FieldSheet;
  visit: OpenVisit;
  photos: PendingPhoto[];
  /** Keeps the visit itself, so that its photographs belong to it when the page is opened again. */
  begin: () => void;
}) {
  const say = useSay();
  const moment: Moment =
    sheet.steps.length === 0 ? 'seen' : Object.keys(visit.steps).length === 0 ? 'before' : 'after';
  const take = async (picture: Blob) => {
    begin();
    try {
      await keepPhoto({
        id: `${Date.now().toString(36)}-${newId().slice(0, 20)}`,
        treeId: sheet.treeId,
        label: sheet.label,
        visit: visit.id,
        moment,
        takenOn: todayOf(sheet, new Date()),
        picture,
        refused: '',
      });
    } catch {
      throw new Error(say('photo.not-kept'));
    }
  };
  return (
    <section aria-label={say('photo.photographs')} className="mt-3">
      <PhotoButton
        className="min-h-12 rounded-md border border-muted/50 bg-paper px-4 font-semibold disabled:opacity-45"
        take={take}
      />
      {photos.length > 0 && (
        <ul className="mt-2 flex flex-wrap gap-2">
          {photos.map((photo) => (
            <li key={photo.id} className="w-[108px]">
              <Picture photo={photo} />
              <span className="flex items-center justify-end gap-3 text-[15px]">
                {photo.moment !== 'seen' && (
                  <button
                    type="button"
                    className="min-h-11 underline underline-offset-4"
                    onClick={() => void movePhoto(photo.id, NEXT[photo.moment])}
                  >
                    {named('photo-moment', photo.moment)}
                  </button>
                )}
                <button
                  type="button"
                  aria-label={say('photo.remove')}
                  className="min-h-11 min-w-11 text-[20px]"
                  onClick={() => void dropPhoto(photo.id)}
                >
                  ×
                </button>
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Picture({ photo }: { photo: PendingPhoto }) {
  const address = useMemo(() => URL.createObjectURL(photo.picture), [photo.picture]);
  useEffect(
    () => () => {
      URL.revokeObjectURL(address);
    },
    [address],
  );
  return (
    <img alt={named('photo-moment', photo.moment)} src={address} className="h-[81px] w-full object-cover" />
  );
}
