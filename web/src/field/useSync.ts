import { useEffect, useState } from 'react';
import { sendWaiting, waiting } from './visits';

const AGAIN_AFTER = 15_000;

/** Sends finished visits whenever there is signal; tells how many wait and what was refused. */
export function useSync() {
  const [count, setCount] = useState(waiting().length);
  const [refused, setRefused] = useState<string[]>([]);
  const [online, setOnline] = useState(navigator.onLine);
  useEffect(() => {
    const go = () => {
      setOnline(navigator.onLine);
      void sendWaiting().then((words) => {
        setCount(waiting().length);
        if (words.length > 0) setRefused((before) => [...before, ...words]);
      });
    };
    go();
    const timer = window.setInterval(go, AGAIN_AFTER);
    window.addEventListener('online', go);
    window.addEventListener('offline', go);
    window.addEventListener('umbel-visit', go);
    return () => {
      window.clearInterval(timer);
      window.removeEventListener('online', go);
      window.removeEventListener('offline', go);
      window.removeEventListener('umbel-visit', go);
    };
  }, []);
  return { count, refused, online };
}
