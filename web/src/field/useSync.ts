import { useEffect, useState } from 'react';
import { meanwhile, sendWaiting, VISITS_CHANGED, waiting } from './visits';

/** What waits to be sent, what was refused and what others did meanwhile; a visit just finished is sent at once. */
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
    void sendWaiting();
    return () => {
      for (const event of events) window.removeEventListener(event, look);
    };
  }, []);
  return {
    waits: state.queue.filter((one) => one.refused === '').length,
    refused: state.queue.filter((one) => one.refused !== ''),
    others: state.others,
    online,
  };
}
