import type { MaterialOfRow } from '../api/client';

const DEVICES: Record<string, [string, string]> = {
  clip: ['clip', 'clips'],
  spreader: ['spreader', 'spreaders'],
  'tie-down': ['string to the ground', 'strings to the ground'],
  'tie-to-trunk': ['string to the trunk', 'strings to the trunk'],
  'wire-tie': ['tie to the wire', 'ties to the wire'],
  weight: ['weight', 'weights'],
  'tie-up': ['string to the leader', 'strings to the leader'],
};

/** Spreaders, strings, weights and anchors to carry along, by the length they are cut to. */
export function MaterialList({ list }: { list: MaterialOfRow }) {
  const parts = list.lines.map((line) => {
    const [one, many] = DEVICES[line.device] ?? [line.device, line.device];
    const size =
      line.massKg > 0 ? ` of ${line.massKg} kg` : line.lengthCm > 0 ? ` of ${line.lengthCm} cm` : '';
    return `${line.count} ${line.count === 1 ? one : many}${size}`;
  });
  if (list.anchors > 0) parts.push(`${list.anchors} ground ${list.anchors === 1 ? 'anchor' : 'anchors'}`);
  return <>{parts.join(', ')}</>;
}
