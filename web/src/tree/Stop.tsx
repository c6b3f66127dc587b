import { useSay } from '../text/say';
/** Past what the holding lets its own people do. */
export function Stop() {
  const say = useSay();
  return (
    <span className="mt-0.5 block border-l-[3px] border-tape pl-2 text-[13px] font-semibold text-tape">
      {say('stop.stop-past-the-holdings-limits')}
    </span>
  );
}
