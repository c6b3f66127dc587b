import { term } from '../text/term';
import { say, useSay } from '../text/say';
import type { MaterialOfRow } from '../api/client';

const DEVICES = (): Record<string, [string, string]> => ({
  clip: [term('clip'), term('clips')],
  spreader: [term('spreader'), term('spreaders')],
  'tie-down': [say('material-list.string-to-the-ground'), say('material-list.strings-to-the-ground')],
  'tie-to-trunk': [say('material-list.string-to-the-trunk'), say('material-list.strings-to-the-trunk')],
  'wire-tie': [say('material-list.tie-to-the-wire'), say('material-list.ties-to-the-wire')],
  weight: [term('weight'), term('weights')],
  'tie-up': [say('material-list.string-to-the-leader'), say('material-list.strings-to-the-leader')],
});

/** Spreaders, strings, weights and anchors to carry along, by the length they are cut to. */
export function MaterialList({ list }: { list: MaterialOfRow }) {
  const say = useSay();
  const parts = list.lines.map((line) => {
    const [one, many] = DEVICES()[line.device] ?? [line.device, line.device];
    const size =
      line.massKg > 0
        ? say('material-list.of-masskg-kg', { massKg: line.massKg })
        : line.lengthCm > 0
          ? say('material-list.of-lengthcm-cm', { lengthCm: line.lengthCm })
          : '';
    return `${line.count} ${line.count === 1 ? one : many}${size}`;
  });
  if (list.anchors > 0) parts.push(say('material-list.anchors-ground-anchors', { anchors: list.anchors }));
  return <>{parts.join(', ')}</>;
}
