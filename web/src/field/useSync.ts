import { useEffect, useState } from 'react';
import { usePending } from '../photo/usePending';
import { sendAll } from './sendAll';
import { isOpen, meanwhile, VISITS_CHANGED, waiting } from './visits';

/** What waits to be sent, photographs too, what was refused and what others did meanwhile; a visit just finished is sent at once. */
export function useSync() {
  const [state, setState] = useState(() => ({ queue: waiting(), others: meanwhile() }));
  const [online, setOnline] = useState(navigator.onLine);
  useEffect(() => {
    const look = () => {
      setOnline(navigator.onLine);
      setState({ queue: waiting(), others: meanwhile() });
    };
    const events = ['online', 'offline', VISITS_CHANGED];
    for (const event of events) window.addEventListener(event, look);
    void sendAll();
    return () => {
      for (const event of events) window.removeEventListener(event, look);
    };
  }, []);
  const photos = usePending().filter((photo) => !isOpen(photo.treeId, photo.visit));
  return {
    photos: photos.filter((photo) => photo.refused === '').length,
    refusedPhotos: photos.filter((photo) => photo.refused !== ''),
    waits: state.queue.filter((one) => one.refused === '').length,
    refused: state.queue.filter((one) => one.refused !== ''),
    others: state.others,
    online,
  };
}
