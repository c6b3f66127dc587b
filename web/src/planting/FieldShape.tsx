import { useMutation } from '@tanstack/react-query';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { answer, api, type PlantingRequest } from '../api/client';
import { NumberField } from '../plant/CountFields';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { FileButton } from '../ui/FileButton';
import {
  edgeOf,
  moved,
  rectangle,
  sides,
  windowOf,
  withCorner,
  withEdge,
  withoutCorner,
  type Corner,
} from './outline';

type Land = NonNullable<PlantingRequest['site']>;

const SIZE = 320;
const STEP_M = 1;
const ARROWS: Record<string, Corner> = {
  ArrowLeft: [-STEP_M, 0],
  ArrowRight: [STEP_M, 0],
  ArrowUp: [0, STEP_M],
  ArrowDown: [0, -STEP_M],
};

/** The field's own shape: drawn corner by corner, or from a map file; rows then fill it as it is. */
export function FieldShape({
  site,
  set,
  clear,
}: {
  site: Land;
  set: (site: Land) => void;
  /** Takes the shape away, with a way back. */
  clear: (site: Land) => void;
}) {
  const say = useSay();
  const edge = edgeOf(site.outline_m);
  const [chosen, setChosen] = useState(0);
  const read = useMutation({
    mutationFn: (text: string) => {
      let document: Record<string, never>;
      try {
        document = JSON.parse(text) as Record<string, never>;
      } catch {
        throw new Error(say('field-shape.no-json'));
      }
      return answer(api.POST('/api/plantings/outline', { body: document }));
    },
    onSuccess: (outline) => {
      set({
        ...site,
        outline_m: outline.outline_m,
        rowBearing_deg: undefined,
        ...(outline.latitude_deg == null ? {} : { latitude_deg: outline.latitude_deg }),
      });
    },
  });
  const change = (next: readonly Corner[]) => {
    set({ ...site, outline_m: withEdge(site.outline_m, next) });
  };
  const drawn = edge.length > 0;
  const [open, setOpen] = useState(drawn);
  return (
    <details
      className="mt-3 border-t border-line pt-1"
      open={open}
      onToggle={(event) => {
        setOpen(event.currentTarget.open);
      }}
    >
      <summary className="min-h-9 content-center font-semibold">{say('field-shape.title')}</summary>
      {drawn ? (
        <>
          <Pad
            edge={edge}
            leftOut={(site.outline_m ?? []).slice(1).map((ring) => edgeOf([ring]))}
            chosen={chosen}
            choose={setChosen}
            change={change}
          />
          <div className="mt-2 flex flex-wrap items-end gap-2">
            <NumberField
              name={say('field-shape.bearing')}
              width="w-20"
              value={site.rowBearing_deg}
              set={(rowBearing_deg) => {
                set({ ...site, rowBearing_deg });
              }}
            />
            <Button
              weight="plain"
              disabled={edge.length <= 3}
              onClick={() => {
                change(withoutCorner(edge, chosen));
                setChosen(0);
              }}
            >
              {say('field-shape.delete-corner')}
            </Button>
            <Button
              weight="quiet"
              onClick={() => {
                clear({ ...site, outline_m: undefined, rowBearing_deg: undefined });
              }}
            >
              {say('field-shape.square')}
            </Button>
          </div>
          <p className="mt-1 text-[13px] text-muted">{say('field-shape.how', { step: STEP_M })}</p>
        </>
      ) : (
        <>
          <p className="text-[14px] text-muted">{say('field-shape.what-for')}</p>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button
              onClick={() => {
                change(rectangle(site.area_ha ?? 1));
              }}
            >
              {say('field-shape.draw')}
            </Button>
            <FileButton
              accept=".geojson,.json,application/geo+json,application/json"
              label={say('field-shape.file-to-open')}
              onText={(text) => {
                read.mutate(text);
              }}
            >
              {say('field-shape.open')}
            </FileButton>
          </div>
        </>
      )}
      {read.isError && (
        <p role="alert" className="mt-1 text-[14px] text-lichen">
          {read.error.message}
        </p>
      )}
    </details>
  );
}

/** The field to draw on: corners are dragged or moved with the arrow keys, and added in the middle of a side. */
function Pad({
  edge,
  leftOut,
  chosen,
  choose,
  change,
}: {
  edge: readonly Corner[];
  leftOut: readonly (readonly Corner[])[];
  chosen: number;
  choose: (corner: number) => void;
  change: (edge: readonly Corner[]) => void;
}) {
  const say = useSay();
  const pad = useRef<SVGSVGElement>(null);
  // the window stays while a corner is dragged, or the field would run away under the hand
  const [held, setHeld] = useState<{ corner: number; seen: ReturnType<typeof windowOf> } | null>(null);
  const seen = held?.seen ?? windowOf(edge);
  const scale = SIZE / seen.size;
  const x = (at: Corner) => (at[0] - seen.left) * scale;
  const y = (at: Corner) => (seen.top - at[1]) * scale;
  const drag = (event: PointerEvent) => {
    const box = pad.current?.getBoundingClientRect();
    if (!held || !box) return;
    change(
      moved(edge, held.corner, [
        seen.left + ((event.clientX - box.left) / box.width) * seen.size,
        seen.top - ((event.clientY - box.top) / box.height) * seen.size,
      ]),
    );
  };
  const nudge = (event: KeyboardEvent, corner: number) => {
    const by = ARROWS[event.key];
    const from = edge[corner];
    if (!by || !from) return;
    event.preventDefault();
    change(moved(edge, corner, [from[0] + by[0], from[1] + by[1]]));
  };
  return (
    <svg
      ref={pad}
      viewBox={`0 0 ${SIZE} ${SIZE}`}
      className="mt-1 aspect-square w-full max-w-[420px] touch-none border border-line bg-paper text-ink select-none"
      role="group"
      aria-label={say('field-shape.pad')}
      onPointerMove={drag}
      onPointerUp={() => {
        setHeld(null);
      }}
      onPointerCancel={() => {
        setHeld(null);
      }}
    >
      <path
        d={[edge, ...leftOut]
          .map((ring) => `M${ring.map((one) => `${x(one)} ${y(one)}`).join('L')}Z`)
          .join('')}
        fillRule="evenodd"
        fill="currentColor"
        fillOpacity={0.06}
        stroke="currentColor"
        strokeWidth={1.5}
      />
      {sides(edge).map((side, i) => (
        <g key={i}>
          <circle
            cx={x(side.middle)}
            cy={y(side.middle)}
            r={5}
            role="button"
            tabIndex={0}
            aria-label={say('field-shape.add-corner', { side: i + 1 })}
            className="cursor-copy fill-paper stroke-muted"
            onClick={() => {
              change(withCorner(edge, i));
              choose(i + 1);
            }}
            onKeyDown={(event) => {
              if (event.key !== 'Enter' && event.key !== ' ') return;
              event.preventDefault();
              change(withCorner(edge, i));
              choose(i + 1);
            }}
          />
          <text
            x={x(side.middle)}
            y={y(side.middle) - 11}
            textAnchor="middle"
            className="pointer-events-none fill-ink stroke-paper text-[12px] [paint-order:stroke]"
            strokeWidth={4}
          >
            {say('field-shape.side', { length: Math.round(side.length) })}
          </text>
        </g>
      ))}
      {edge.map((corner, i) => (
        <circle
          key={i}
          cx={x(corner)}
          cy={y(corner)}
          r={i === chosen ? 9 : 7}
          role="button"
          tabIndex={0}
          aria-pressed={i === chosen}
          aria-label={say('field-shape.corner', { corner: i + 1 })}
          className={`cursor-move ${i === chosen ? 'fill-lichen' : 'fill-ink'}`}
          onFocus={() => {
            choose(i);
          }}
          onKeyDown={(event) => {
            nudge(event, i);
          }}
          onPointerDown={(event) => {
            pad.current?.setPointerCapture(event.pointerId);
            choose(i);
            setHeld({ corner: i, seen: windowOf(edge) });
          }}
        />
      ))}
      <text x={SIZE - 8} y={18} textAnchor="end" className="fill-muted text-[12px]">
        {say('field-shape.north')}
      </text>
    </svg>
  );
}
