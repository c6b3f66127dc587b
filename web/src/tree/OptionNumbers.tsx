import type { Option } from '../api/client';
import { useSay } from '../text/say';
import { percent } from '../ui/words';

/** From this share on a change of light is told. */
const TOLD_FROM = 0.005;

/** What one thing that could be done to a limb takes, and what it does to the light. */
export function OptionNumbers({ option }: { option: Option }) {
  const say = useSay();
  const lightChange = option.shadeBefore - option.shadeAfter;
  return say('limb-panel.numbers-takes-woodshare-of-the', {
    numbers: option.numbers,
    woodShare: percent(option.woodShare),
    flowerShare: percent(option.flowerShare),
    part:
      Math.abs(lightChange) >= TOLD_FROM
        ? say('limb-panel.shade-shadebefore-shadeafter', {
            shadeBefore: percent(option.shadeBefore),
            shadeAfter: percent(option.shadeAfter),
          })
        : say('limb-panel.light-stays-as-it-is'),
    part2: option.answer ? ` ${option.answer}` : '',
  });
}
