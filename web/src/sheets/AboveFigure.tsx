import { useSay } from '../text/say';
import type { Stand } from '../stand/geometry';
import { outlineOf, type WidePoint } from '../stand/outline';

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
            const line: WidePoint[] = [];
            for (let i = 0; i < axis.along.length; i++) {
              line.push({
                x: half + (axis.points[4 * i] ?? 0) * scale,
                y: half - (axis.points[4 * i + 1] ?? 0) * scale,
                width: Math.max(1, (axis.points[4 * i + 3] ?? 0) * scale),
              });
            }
            const going = cuts.has(axis.index);
            if (!going)
              return <polygon key={axis.id} points={outlineOf(line)} className="fill-ink stroke-none" />;
            return (
              <polyline
                key={axis.id}
                points={line.map((one) => `${one.x.toFixed(1)},${one.y.toFixed(1)}`).join(' ')}
                fill="none"
                className="stroke-tape"
                strokeWidth={Math.max(1, line[1]?.width ?? 1)}
                strokeDasharray="4 3"
              />
            );
          })}
      </svg>
      <figcaption className="text-center text-[13px] text-muted">{say('above-figure.from-above')}</figcaption>
    </figure>
  );
}
