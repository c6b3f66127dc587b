import { useState, type ReactNode } from 'react';
import { useSay } from '../text/say';
import { Button } from './Button';

const MORE = 200;

/** The first of many lines, and a button that lists more of them: a block may hold thousands of trees. */
export function useListed<T>(
  lines: readonly T[],
  atFirst: number,
): { listed: readonly T[]; more: ReactNode } {
  const say = useSay();
  const [most, setMost] = useState(atFirst);
  const left = lines.length - most;
  return {
    listed: lines.slice(0, most),
    more: left > 0 && (
      <Button
        className="mt-3"
        onClick={() => {
          setMost(most + MORE);
        }}
      >
        {say('listed.more', { more: Math.min(MORE, left), left })}
      </Button>
    ),
  };
}
