import { useCallback, useState } from 'react';
import { useSearchParams } from 'react-router';

/**
 * A choice of a page that its address holds, so that the page can be shared and opened again as it is. Only what differs from the
 * first choice is written; a word that is none of the choices counts as the first.
 */
export function useInAddress<T extends string>(
  name: string,
  first: T,
  choices?: readonly T[],
): [T, (next: T) => void] {
  const [params, setParams] = useSearchParams();
  const told = params.get(name);
  // an address is written a moment later than a key is pressed
  const [chosen, setChosen] = useState(() => (told === null ? first : inChoices(told, first, choices)));
  const set = useCallback(
    (next: T) => {
      setChosen(next);
      setParams(
        (before) => {
          const after = new URLSearchParams(before);
          if (next === first) after.delete(name);
          else after.set(name, next);
          return after;
        },
        { replace: true, preventScrollReset: true },
      );
    },
    [setParams, name, first],
  );
  return [chosen, set];
}

/** A word if it is one of the choices, or if any word is. */
export function inChoices<T extends string>(told: string, first: T, choices?: readonly T[]): T {
  return choices === undefined || choices.includes(told as T) ? (told as T) : first;
}
