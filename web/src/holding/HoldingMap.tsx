import { useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, answer, type BlockLine, type BlockSeason } from '../api/client';

interface Feature {
  geometry: { type: string; coordinates: unknown };
  properties: { kind: string; id?: number; block?: number; name?: string; row?: number; holding?: string };
}

type Point = [number, number];

const MARGIN = 8;

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
  return (
    <figure>
      <svg
        viewBox={`0 0 ${(width / scale).toFixed(0)} ${(height / scale).toFixed(0)}`}
        style={{ width: `${Math.round(width / scale)}px` }}
        className="max-w-full overflow-visible"
        role="group"
        aria-label={say('holding-map.map-of', { name })}
      >
        {ids.map((id) => {
          const block = blocks.find((one) => one.id === id);
          const year = season.find((one) => one.id === id);
          const corner = outline(id);
          const middle: Point = [
            corner.slice(0, 4).reduce((sum, one) => sum + one[0], 0) / 4,
            corner.slice(0, 4).reduce((sum, one) => sum + one[1], 0) / 4,
          ];
          const [x, y] = at(middle).split(',').map(Number);
          const done = year ? year.treesDone / Math.max(1, year.trees) : 0;
          return (
            <Link
              key={id}
              to={`/blocks/${id}`}
              aria-label={`${block?.name ?? ''}, ${block?.speciesName ?? ''}`}
            >
              <polygon
                points={corner.map(at).join(' ')}
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
              <text
                x={x}
                y={(y ?? 0) + 5}
                textAnchor="middle"
                className="fill-ink stroke-paper text-[13px] font-semibold"
                strokeWidth={4}
                paintOrder="stroke"
              >
                {block?.name}
              </text>
            </Link>
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
