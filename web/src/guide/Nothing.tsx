import { useSay } from '../text/say';

/** Nothing in this part of the guide holds the words that are sought. */
export function Nothing() {
  const say = useSay();
  return (
    <p role="status" className="py-6 text-muted">
      {say('guide-page.nothing-here-answers-to-that')}
    </p>
  );
}
