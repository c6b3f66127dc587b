import { useEffect, useState } from 'react';
import { PHOTOS_CHANGED, pendingPhotos, type PendingPhoto } from './pending';

/** The photographs on this phone that the server has not taken, as they come and go. */
export function usePending(): PendingPhoto[] {
  const [photos, setPhotos] = useState<PendingPhoto[]>([]);
  useEffect(() => {
    let here = true;
    const look = () => {
      void pendingPhotos().then((all) => {
        if (here) setPhotos(all);
      });
    };
    window.addEventListener(PHOTOS_CHANGED, look);
    look();
    return () => {
      here = false;
      window.removeEventListener(PHOTOS_CHANGED, look);
    };
  }, []);
  return photos;
}
