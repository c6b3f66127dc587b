import { useEffect, useState } from 'react';

/** A value once it has stood still for so many milliseconds. */
export function useSettled<T>(value: T, afterMs: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const wait = setTimeout(() => {
      setSettled(value);
    }, afterMs);
    return () => {
      clearTimeout(wait);
    };
  }, [value, afterMs]);
  return settled;
}
