import { useSay } from '../text/say';
import type { LimbLine } from '../api/client';
import type { Stand } from './geometry';

interface Props {
  stand: Stand;
  limbs: LimbLine[];
  selected: string | null;
  /** Limbs marked to go. */
  going: ReadonlySet<string>;
  /** Bearing the viewer stands at, radians from north. */
  viewer: number;
  onSelect: (limb: string) => void;
  size?: number;
}

/** The tree from above: every limb as long and as thick as it is, north at the top. */
export function LimbClock({ stand, limbs, selected, going, viewer, onSelect, size = 148 }: Props) {
  const say = useSay();
  const half = size / 2;
  const scale = (half - 22) / Math.max(0.6, stand.radius);
  const measured = stand.axes.filter((axis) => axis.kind === 'limb');
  const known = new Map(limbs.map((limb) => [limb.id, limb]));
  const line = (points: Float64Array) => {
    const parts: string[] = [];
    for (let i = 0; i < points.length; i += 4) {
      const x = half + (points[i] ?? 0) * scale;
      const y = half - (points[i + 1] ?? 0) * scale;
      parts.push(`${x.toFixed(1)},${y.toFixed(1)}`);
    }
    return parts.join(' ');
  };
  const eyeX = half + Math.sin(viewer) * (half - 8);
  const eyeY = half - Math.cos(viewer) * (half - 8);
  const turn = (viewer * 180) / Math.PI;
  return (
    <svg
      width={size}
      height={size}
      viewBox={`0 0 ${size} ${size}`}
      role="group"
      aria-label={say('limb-clock.the-limbs-seen-from-above')}
    >
      <circle cx={half} cy={half} r={half - 1} className="fill-paper/90" />
      {[0.5, 1].map((metre) => (
        <circle
          key={metre}
          cx={half}
          cy={half}
          r={(half - 22) * metre}
          className="fill-none stroke-line"
          strokeDasharray="2 4"
        />
      ))}
      <line x1={half} x2={half} y1={4} y2={14} className="stroke-muted" strokeWidth={1.5} />
      <text x={half + 6} y={14} className="fill-muted text-[12px]">
        N
      </text>
      <path
        d="M-5.5 3.5 L0 -6 L5.5 3.5 Z"
        transform={`translate(${eyeX.toFixed(1)} ${eyeY.toFixed(1)}) rotate(${turn + 180})`}
        className="fill-ink"
      >
        <title>{say('limb-clock.you-stand-here')}</title>
      </path>
      {measured.map((axis) => {
        const marked = going.has(axis.id);
        const chosen = selected === axis.id;
        const width = Math.max(1.4, Math.min(6, (axis.points[7] ?? 0.01) * 75));
        const info = known.get(axis.id);
        return (
          <g
            key={axis.id}
            className="cursor-pointer"
            onClick={() => {
              onSelect(axis.id);
            }}
          >
            <title>
              {say('limb-clock.limb-id-part-part2', {
                id: axis.id,
                part: info ? say('limb-clock.lengthcm-cm', { lengthCm: info.lengthCm }) : '',
                part2: marked ? say('limb-clock.marked') : '',
              })}
            </title>
            <polyline points={line(axis.points)} fill="none" stroke="transparent" strokeWidth={11} />
            {chosen && (
              <polyline
                points={line(axis.points)}
                fill="none"
                className="stroke-ink"
                strokeWidth={width + 5}
                strokeLinecap="round"
              />
            )}
            <polyline
              points={line(axis.points)}
              fill="none"
              className={
                marked ? 'stroke-tape' : chosen ? 'stroke-paper' : 'stroke-[#5b4d42] dark:stroke-[#c8b7a2]'
              }
              strokeWidth={width}
              strokeDasharray={marked ? '5 3' : undefined}
              strokeLinecap={marked ? 'butt' : 'round'}
            />
          </g>
        );
      })}
      <circle
        cx={half}
        cy={half}
        r={Math.max(3, (stand.axes[0]?.points[3] ?? 0.1) * scale * 0.5 + 1.5)}
        className="fill-[#4d443d] dark:fill-[#c8b7a2]"
      />
    </svg>
  );
}
