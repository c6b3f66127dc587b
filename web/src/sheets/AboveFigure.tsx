import { useSay } from '../text/say';
import type { Stand } from '../stand/geometry';

const SIZE = 150;

/** The limbs from above, for paper: north up, what goes is broken. */
export function AboveFigure({
  stand,
  cuts,
}: {
  stand: Stand;
  cuts: ReadonlyMap<number, { kept: number; mark: number }>;
}) {
  const say = useSay();
  const half = SIZE / 2;
  const scale = (half - 16) / stand.radius;
  return (
    <figure>
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        className="w-full"
        role="img"
        aria-label={say('above-figure.the-limbs-seen-from-above')}
      >
        <circle cx={half} cy={half} r={half - 2} className="fill-none stroke-line" />
        <text x={half} y={11} textAnchor="middle" className="fill-ink text-[11px] font-bold">
          N
        </text>
        {stand.axes
          .filter((axis) => axis.kind === 'limb')
          .map((axis) => {
            const points: string[] = [];
            for (let i = 0; i < axis.along.length; i++) {
              points.push(
                `${(half + (axis.points[4 * i] ?? 0) * scale).toFixed(1)},${(half - (axis.points[4 * i + 1] ?? 0) * scale).toFixed(1)}`,
              );
            }
            const going = cuts.has(axis.index);
            return (
              <polyline
                key={axis.id}
                points={points.join(' ')}
                fill="none"
                className={going ? 'stroke-tape' : 'stroke-ink'}
                strokeWidth={Math.max(1, (axis.points[7] ?? 0.01) * 55)}
                strokeDasharray={going ? '4 3' : undefined}
              />
            );
          })}
      </svg>
      <figcaption className="text-center text-[13px] text-muted">{say('above-figure.from-above')}</figcaption>
    </figure>
  );
}
