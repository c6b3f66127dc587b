import { useEffect } from 'react';

/** Counts seconds down to nothing, while it is running. */
export function useCountdown(left: number | null, set: (left: number) => void, running: boolean) {
  useEffect(() => {
    if (!running || left === null || left <= 0) return;
    const tick = setTimeout(() => {
      set(left - 1);
    }, 1000);
    return () => {
      clearTimeout(tick);
    };
  }, [running, left, set]);
}
