import { say, useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, answer, type BlockLine, type BlockSeason } from '../api/client';
import { hours, shortDay } from '../season/dates';
import { placeLabels, withLabels } from './mapLabels';

interface Feature {
  geometry: { type: string; coordinates: unknown };
  properties: { kind: string; id?: number; block?: number; name?: string; row?: number; holding?: string };
}

type Point = [number, number];

const MARGIN = 8;
/** About how wide a letter of a label is, pixels. */
const LETTER = 7;

/** The work that is left in a block and until when, in a few words. */
function workLeft(year: BlockSeason): string {
  if (year.hours < 0.05) return say('holding-map.nothing-left');
  return year.windowEnd == null
    ? say('holding-map.hours-left', { hours: hours(year.hours) })
    : say('holding-map.hours-until', { hours: hours(year.hours), day: shortDay(year.windowEnd) });
}

/** The holding from above, drawn from its own coordinates: rows as they stand, north up; each block leads to its page. */
export function HoldingMap({ blocks, season }: { blocks: BlockLine[]; season: BlockSeason[] }) {
  const geo = useQuery({
    queryKey: ['geo'],
    staleTime: Infinity,
    queryFn: async () =>
      (await answer(api.GET('/api/holding.geojson'))) as unknown as { features: Feature[] },
  });
  if (!geo.data) return null;
  const plots = geo.data.features.filter((one) => one.properties.kind === 'block');
  const holdings = [...new Set(plots.map((one) => one.properties.holding ?? ''))];
  return (
    <div className="mt-5 flex flex-wrap items-end gap-6">
      {holdings.map((holding) => (
        <OneHolding
          key={holding}
          name={holding}
          features={geo.data.features}
          ids={plots.filter((one) => one.properties.holding === holding).map((one) => one.properties.id ?? 0)}
          blocks={blocks}
          season={season}
        />
      ))}
    </div>
  );
}

function OneHolding({
  name,
  features,
  ids,
  blocks,
  season,
}: {
  name: string;
  features: Feature[];
  ids: number[];
  blocks: BlockLine[];
  season: BlockSeason[];
}) {
  const say = useSay();
  const outline = (id: number) =>
    (
      features.find((one) => one.properties.kind === 'block' && one.properties.id === id)?.geometry
        .coordinates as Point[][]
    )[0] ?? [];
  const points = ids.flatMap(outline);
  const east = points.map((one) => one[0]);
  const north = points.map((one) => one[1]);
  const left = Math.min(...east) - MARGIN;
  const top = Math.max(...north) + MARGIN;
  const width = Math.max(...east) + MARGIN - left;
  const height = top - Math.min(...north) + MARGIN;
  const scale = Math.max(width / 720, height / 360);
  const at = ([x, y]: Point): string =>
    `${((x - left) / scale).toFixed(1)},${((top - y) / scale).toFixed(1)}`;
  const labels = ids.map((id) => {
    const block = blocks.find((one) => one.id === id);
    const year = season.find((one) => one.id === id);
    const corner = outline(id).slice(0, 4);
    const middle: Point = [
      corner.reduce((sum, one) => sum + one[0], 0) / 4,
      corner.reduce((sum, one) => sum + one[1], 0) / 4,
    ];
    const [x = 0, y = 0] = at(middle).split(',').map(Number);
    const label = block?.name ?? '';
    const note = year ? workLeft(year) : '';
    const width = LETTER * Math.max(label.length, note.length);
    return { id, name: label, note, wish: { x, y, width, height: note === '' ? 15 : 29 } };
  });
  const wishes = labels.map((one) => one.wish);
  const placed = placeLabels(wishes);
  const drawn = withLabels(width / scale, height / scale, wishes, placed);
  return (
    <figure>
      <svg
        viewBox={[drawn.left, drawn.top, drawn.width, drawn.height].map(Math.round).join(' ')}
        style={{ width: `${Math.round(drawn.width)}px` }}
        className="max-w-full overflow-visible"
        role="group"
        aria-label={say('holding-map.map-of', { name })}
      >
        {ids.map((id) => {
          const block = blocks.find((one) => one.id === id);
          const year = season.find((one) => one.id === id);
          const done = year ? year.treesDone / Math.max(1, year.trees) : 0;
          return (
            <Link
              key={id}
              to={`/blocks/${id}`}
              aria-label={`${block?.name ?? ''}, ${block?.speciesName ?? ''}`}
            >
              <polygon
                points={outline(id).map(at).join(' ')}
                className="fill-sand stroke-muted hover:fill-sky"
                strokeWidth={1}
              />
              {features
                .filter((one) => one.properties.kind === 'row' && one.properties.block === id)
                .map((row) => {
                  const line = row.geometry.coordinates as Point[];
                  const mine = (row.properties.row ?? 0) <= done * countRows(features, id);
                  return (
                    <polyline
                      key={row.properties.row}
                      points={line.map(at).join(' ')}
                      className={mine ? 'stroke-moss' : 'stroke-muted/60'}
                      strokeWidth={mine ? 2.2 : 1.2}
                      fill="none"
                    />
                  );
                })}
            </Link>
          );
        })}
        {labels.map((label, i) => {
          const place = placed[i];
          if (!place) return null;
          return (
            <g key={label.id} aria-hidden className="pointer-events-none">
              {place.moved && (
                <line
                  x1={label.wish.x}
                  y1={label.wish.y}
                  x2={place.x}
                  y2={place.y}
                  className="stroke-muted"
                  strokeWidth={1}
                />
              )}
              <text
                x={place.x}
                y={place.y - 1}
                textAnchor="middle"
                className="fill-ink stroke-paper text-[13px] font-semibold"
                strokeWidth={4}
                paintOrder="stroke"
              >
                {label.name}
                {label.note !== '' && (
                  <tspan x={place.x} dy={14} className="text-[12px] font-normal">
                    {label.note}
                  </tspan>
                )}
              </text>
            </g>
          );
        })}
      </svg>
      <figcaption className="text-[12.5px] text-muted">
        {say('holding-map.name-north-up-width-m', {
          name,
          width: Math.round((width - 2 * MARGIN) / 10) * 10,
        })}
      </figcaption>
    </figure>
  );
}

function countRows(features: Feature[], block: number): number {
  return features.filter((one) => one.properties.kind === 'row' && one.properties.block === block).length;
}
