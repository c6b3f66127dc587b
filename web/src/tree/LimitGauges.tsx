import { useSay } from '../text/say';
import { Gauge } from '../ui/Gauge';
import { percent } from '../ui/words';

/** How far past its limit a gauge still reaches. */
const BEYOND = 1.4;
/** Shares closer to the limit than this are on it. */
const ON_THE_LIMIT = 0.004;

/** Small wood and big cuts of a visit, each against the most that one visit may take. */
export function LimitGauges({
  wood,
  big,
  limits,
}: {
  wood: number;
  big: number;
  limits: { woodShare: number; bigCuts: number };
}) {
  const say = useSay();
  return (
    <>
      <Gauge
        name={say('name.small-wood-taken')}
        value={say('gauges.of-most', { count: Math.round(wood * 100), most: percent(limits.woodShare) })}
        full={wood / (limits.woodShare * BEYOND)}
        tick={1 / BEYOND}
        over={wood > limits.woodShare + ON_THE_LIMIT}
      />
      <Gauge
        name={say('name.big-cuts')}
        value={say('gauges.of-most', { count: big, most: limits.bigCuts })}
        full={big / (limits.bigCuts * BEYOND)}
        tick={1 / BEYOND}
        over={big > limits.bigCuts}
      />
    </>
  );
}
