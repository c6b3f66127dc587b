import { inFarm } from '../api/farm';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { answer, api, sendPicture, type PhotoLine } from '../api/client';
import { newId } from '../api/newId';
import { useMayChange, useWho } from '../people/who';
import { named } from '../text/term';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { day } from '../ui/words';
import { PhotoButton } from './PhotoButton';

/** A tree's photographs, newest first. */
export function usePhotos(id: number) {
  return useQuery({
    queryKey: ['photos', id],
    queryFn: () => answer(api.GET('/api/trees/{id}/photos', { params: { path: { id } } })),
  });
}

/** The photographs of a tree that belong to no visit, and the button that adds one. */
export function TreePhotos({ id }: { id: number }) {
  const say = useSay();
  const mayChange = useMayChange();
  const { name } = useWho();
  const queries = useQueryClient();
  const photos = usePhotos(id);
  const beside = (photos.data ?? []).filter((photo) => photo.recordId == null);
  const take = async (picture: Blob) => {
    const asked = new URLSearchParams({
      clientId: newId(),
      moment: 'seen',
      who: name,
    });
    await sendPicture(`/api/trees/${id}/photos?${asked.toString()}`, picture);
    await queries.invalidateQueries({ queryKey: ['photos', id] });
  };
  return (
    <section aria-labelledby="photographs" className="mt-8">
      <h2 id="photographs" className="border-b-2 border-ink pb-1 text-[20px] font-bold">
        {say('photo.photographs')}
      </h2>
      {photos.isError && <p className="py-3 text-lichen">{photos.error.message}</p>}
      {photos.data && beside.length === 0 && (
        <p className="py-3 text-[14px] text-muted">{say('photo.none-yet')}</p>
      )}
      <PhotoThumbs id={id} photos={beside} />
      {mayChange && (
        <div className="mt-3">
          <PhotoButton
            className="min-h-9 rounded-md border border-muted/50 bg-paper px-3 py-1.5 text-[14px] font-semibold hover:bg-sand disabled:opacity-45"
            take={take}
          />
        </div>
      )}
    </section>
  );
}

/** Photographs in a row; one pressed is shown large. */
export function PhotoThumbs({ id, photos }: { id: number; photos: PhotoLine[] }) {
  const [open, setOpen] = useState<number | null>(null);
  if (photos.length === 0) return null;
  const at = photos.findIndex((photo) => photo.id === open);
  return (
    <>
      <ul className="mt-2 flex flex-wrap gap-2">
        {photos.map((photo) => (
          <li key={photo.id} className="w-[104px] text-[13px]">
            <button
              type="button"
              className="block w-full text-left"
              onClick={() => {
                setOpen(photo.id);
              }}
            >
              <img alt="" loading="lazy" src={address(id, photo)} className="h-[78px] w-full object-cover" />
              {caption(photo)}
            </button>
          </li>
        ))}
      </ul>
      {/* not modal: the library's scroll lock writes styles into the page, which the content policy forbids */}
      <Dialog.Root
        modal={false}
        open={at >= 0}
        onOpenChange={(shown) => {
          if (!shown) setOpen(null);
        }}
      >
        <Dialog.Portal>
          <div className="fixed inset-0 bg-ink/60" aria-hidden />
          {photos[at] && (
            <Large id={id} photo={photos[at]} before={photos[at - 1]} after={photos[at + 1]} show={setOpen} />
          )}
        </Dialog.Portal>
      </Dialog.Root>
    </>
  );
}

function Large({
  id,
  photo,
  before,
  after,
  show,
}: {
  id: number;
  photo: PhotoLine;
  before: PhotoLine | undefined;
  after: PhotoLine | undefined;
  show: (photo: number | null) => void;
}) {
  const say = useSay();
  const mayChange = useMayChange();
  const queries = useQueryClient();
  const [asked, setAsked] = useState<number | null>(null);
  const remove = useMutation({
    mutationFn: () =>
      answer(api.DELETE('/api/trees/{id}/photos/{photo}', { params: { path: { id, photo: photo.id } } })),
    onSuccess: () => {
      show(null);
      void queries.invalidateQueries({ queryKey: ['photos', id] });
    },
  });
  return (
    <Dialog.Content
      aria-describedby={undefined}
      className="fixed top-1/2 left-1/2 max-h-[94vh] w-[min(94vw,980px)] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-md bg-paper p-4"
    >
      <Dialog.Title className="pb-2 text-[16px] font-bold">
        {caption(photo)}, {photo.who}
      </Dialog.Title>
      <img
        alt={named('photo-moment', photo.moment)}
        width={photo.width}
        height={photo.height}
        src={address(id, photo)}
        className="mx-auto h-auto max-h-[74vh] w-auto max-w-full"
      />
      <div className="flex flex-wrap items-center gap-2 pt-3">
        {[before, after].map((other, i) => (
          <Button
            key={i}
            disabled={!other}
            onClick={() => {
              if (other) show(other.id);
            }}
          >
            {i === 0 ? say('photo.previous') : say('photo.next')}
          </Button>
        ))}
        {mayChange &&
          (asked === photo.id ? (
            <Button
              disabled={remove.isPending}
              onClick={() => {
                remove.mutate();
              }}
            >
              {say('photo.delete-for-good')}
            </Button>
          ) : (
            <Button
              weight="quiet"
              onClick={() => {
                setAsked(photo.id);
              }}
            >
              {say('photo.delete')}
            </Button>
          ))}
        {remove.isError && (
          <span role="alert" className="text-lichen">
            {remove.error.message}
          </span>
        )}
        <Dialog.Close asChild>
          <Button weight="ink" className="ml-auto">
            {say('photo.close')}
          </Button>
        </Dialog.Close>
      </div>
    </Dialog.Content>
  );
}

function address(id: number, photo: PhotoLine): string {
  return inFarm(`/api/trees/${id}/photos/${photo.id}`);
}

/** The day, and whether before or after the work. */
function caption(photo: PhotoLine): string {
  const moment = photo.moment === 'seen' ? '' : `, ${named('photo-moment', photo.moment)}`;
  return `${day(photo.takenOn)}${moment}`;
}
