import { useSay } from '../text/say';
import { percent } from './words';

/** A factor as people say it: as usual, or so many per cent more or less. */
export function useFactor(): (value: number) => string {
  const say = useSay();
  return (value) =>
    Math.abs(value - 1) < 0.02
      ? say('learned-part.as-usual')
      : `${value > 1 ? '+' : '−'}${percent(Math.abs(value - 1))}`;
}
