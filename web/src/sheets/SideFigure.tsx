import { useSay } from '../text/say';
import { Camera, FIRST_VIEW } from '../stand/camera';
import { placeFlags } from '../stand/flags';
import type { Stand, StandAxis } from '../stand/geometry';
import { outlineOf, type WidePoint } from '../stand/outline';

interface Props {
  stand: Stand;
  /** Where the viewer stands, radians from north. */
  bearing: number;
  words: string;
  cuts: ReadonlyMap<number, { kept: number; mark: number }>;
  flags: [number, number, number][];
}

const WIDTH = 340;
const HEIGHT = 330;
const MARGINS = { top: 14, side: 40, bottom: 16 };
/** Wood from so many pixels on is drawn as it tapers; thinner wood as one stroke. */
const BODY_FROM = 1.6;

/** The tree from one side in line, for paper: what stays is solid, what goes is broken, each cut has its number. */
export function SideFigure({ stand, bearing, words, cuts, flags }: Props) {
  const say = useSay();
  const camera = new Camera(stand, { ...FIRST_VIEW, bearing, tilt: 0.06 }, WIDTH, HEIGHT, MARGINS);
  const placed = placeFlags(
    flags.map((at, i) => ({ label: String(i + 1), at, chosen: false })),
    camera,
  );
  const line = (axis: StandAxis, from: number, to: number) => {
    const points: string[] = [];
    for (let i = 0; i < axis.along.length; i++) {
      const s = axis.along[i] ?? 0;
      if (s >= from - 0.06 && s <= to + 0.06) {
        const at = camera.see(
          axis.points[4 * i] ?? 0,
          axis.points[4 * i + 1] ?? 0,
          axis.points[4 * i + 2] ?? 0,
        );
        points.push(`${at.x.toFixed(1)},${at.y.toFixed(1)}`);
      }
    }
    return points.join(' ');
  };
  const body = (axis: StandAxis, to: number): WidePoint[] => {
    const points: WidePoint[] = [];
    for (let i = 0; i < axis.along.length; i++) {
      if ((axis.along[i] ?? 0) > to + 1e-6 && points.length > 1) break;
      const at = camera.see(
        axis.points[4 * i] ?? 0,
        axis.points[4 * i + 1] ?? 0,
        axis.points[4 * i + 2] ?? 0,
      );
      points.push({ x: at.x, y: at.y, width: Math.max(0.8, (axis.points[4 * i + 3] ?? 0) * at.scale) });
    }
    return points;
  };
  const axes = stand.axes.filter((axis) => axis.kind !== 'spur');
  return (
    <figure>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full"
        role="img"
        aria-label={say('side-figure.the-tree-words-with-its', { words })}
      >
        <line x1={20} x2={WIDTH - 20} y1={camera.heightY(0)} y2={camera.heightY(0)} className="stroke-line" />
        {axes.map((axis) => {
          const cut = cuts.get(axis.index);
          const fine = axis.kind === 'shoot' || axis.kind === 'fruiting-lateral';
          const width = Math.max(fine ? 0.5 : 0.9, (axis.points[3] ?? 0.01) * camera.pixelsPerMetre * 0.75);
          const kept = cut ? cut.kept : axis.length;
          return (
            <g key={axis.index} fill="none" strokeLinecap="round">
              {kept > 0 && width >= BODY_FROM && (
                <polygon points={outlineOf(body(axis, kept))} className="fill-ink stroke-none" />
              )}
              {kept > 0 && width < BODY_FROM && (
                <polyline
                  points={line(axis, 0, kept)}
                  className={fine ? 'stroke-muted' : 'stroke-ink'}
                  strokeWidth={width}
                  opacity={fine ? 0.6 : 1}
                />
              )}
              {cut && (axis.kind === 'limb' || axis.kind === 'trunk' || axis.kind === 'lateral') && (
                <polyline
                  points={line(axis, cut.kept, axis.length)}
                  className="stroke-tape"
                  strokeWidth={Math.max(1, (body(axis, cut.kept).at(-1)?.width ?? width) * 0.7)}
                  strokeDasharray="5 4"
                />
              )}
              {cut && fine && (
                <polyline
                  points={line(axis, cut.kept, axis.length)}
                  className="stroke-tape"
                  strokeWidth={0.7}
                  strokeDasharray="2 3"
                  opacity={0.6}
                />
              )}
            </g>
          );
        })}
        {placed.map(({ flag, x, y, tieX, tieY }) => (
          <g key={flag.label}>
            <line x1={tieX} y1={tieY} x2={x} y2={y} className="stroke-ink" strokeWidth={0.9} />
            <circle cx={tieX} cy={tieY} r={2.2} className="fill-ink" />
            <rect
              x={x - 10}
              y={y - 8.5}
              width={20}
              height={17}
              className="fill-paper stroke-ink"
              strokeWidth={1.3}
            />
            <text x={x} y={y + 4.5} textAnchor="middle" className="fill-ink text-[13px] font-bold">
              {flag.label}
            </text>
          </g>
        ))}
      </svg>
      <figcaption className="text-center text-[13px] text-muted">{words}</figcaption>
    </figure>
  );
}
