import { useRef, useState, type PointerEvent, type ReactNode } from 'react';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { nearestHandle, type Handle, type Picture, type Point, type Trace } from './tracing';

const ZOOMS = [1, 1.5, 2, 3, 4, 6];
/** How near a touch must be to take hold of a point, in pixels of the screen. */
const REACH_PX = 24;
const LOUPE_PX = 132;
const LOUPE_ZOOM = 3;
const HALF = 2;

interface Props {
  url: string;
  picture: Picture;
  /** What the next touch means, in words. */
  prompt: string;
  /** Whether a press takes hold of a point that is there instead of setting the next. */
  moving: boolean;
  chosen: string | null;
  /** What else can be done with the picture, beside the zoom. */
  tools: ReactNode;
  onTouch: (at: Point) => void;
  onMove: (handle: Handle, to: Point) => void;
  onChoose: (limb: string | null) => void;
}

/** A picture with what was touched in it. A press shows the place enlarged; letting go sets the point, or moves one. */
export function PictureBoard({
  url,
  picture,
  prompt,
  moving,
  chosen,
  tools,
  onTouch,
  onMove,
  onChoose,
}: Props) {
  const say = useSay();
  const scroller = useRef<HTMLDivElement>(null);
  const sheet = useRef<HTMLDivElement>(null);
  const [zoom, setZoom] = useState(0);
  const [press, setPress] = useState<{ at: Point; handle: Handle | undefined } | null>(null);
  const fingers = useRef(new Map<number, { x: number; y: number }>());
  const scale = () => (sheet.current?.clientWidth ?? picture.width) / picture.width;

  const pointOf = (event: PointerEvent): Point => {
    const box = sheet.current?.getBoundingClientRect() ?? new DOMRect();
    const held = (value: number, most: number) => Math.max(0, Math.min(most, value));
    return {
      x: Math.round(10 * held((event.clientX - box.left) / scale(), picture.width)) / 10,
      y: Math.round(10 * held((event.clientY - box.top) / scale(), picture.height)) / 10,
    };
  };
  const down = (event: PointerEvent) => {
    if (event.button !== 0) return;
    event.preventDefault();
    event.currentTarget.setPointerCapture(event.pointerId);
    fingers.current.set(event.pointerId, { x: event.clientX, y: event.clientY });
    if (fingers.current.size > 1) {
      setPress(null); // two fingers move the picture
      return;
    }
    const at = pointOf(event);
    setPress({ at, handle: moving ? nearestHandle(picture, at, REACH_PX / scale()) : undefined });
  };
  const move = (event: PointerEvent) => {
    const before = fingers.current.get(event.pointerId);
    if (!before) return;
    if (fingers.current.size > 1) {
      scroller.current?.scrollBy(
        (before.x - event.clientX) / fingers.current.size,
        (before.y - event.clientY) / fingers.current.size,
      );
    } else if (press) setPress({ ...press, at: pointOf(event) });
    fingers.current.set(event.pointerId, { x: event.clientX, y: event.clientY });
  };
  const up = (event: PointerEvent) => {
    fingers.current.delete(event.pointerId);
    if (!press) return;
    const { handle } = press;
    const at = pointOf(event);
    setPress(null);
    if (!moving) onTouch(at);
    else if (!handle) onChoose(null);
    else if (Math.hypot(handle.at.x - at.x, handle.at.y - at.y) * scale() > HALF) onMove(handle, at);
    else onChoose(handle.limb ?? null);
  };
  const zoomTo = (next: number) => {
    const box = scroller.current;
    const factor = (ZOOMS[next] ?? 1) / (ZOOMS[zoom] ?? 1);
    setZoom(next);
    requestAnimationFrame(() => {
      if (!box) return;
      box.scrollLeft = (box.scrollLeft + box.clientWidth / HALF) * factor - box.clientWidth / HALF;
      box.scrollTop = (box.scrollTop + box.clientHeight / HALF) * factor - box.clientHeight / HALF;
    });
  };
  const unit = picture.height / (420 * (ZOOMS[zoom] ?? 1));
  const shown = press && (press.handle ? { ...press.handle, at: press.at } : null);

  return (
    <div className="relative flex h-full min-h-0 flex-col">
      <div className="flex items-center justify-between gap-2 border-b border-line bg-paper px-3 py-1.5">
        <p className="text-[15px] font-semibold" aria-live="polite">
          {prompt}
        </p>
        <span className="flex flex-wrap justify-end gap-1">
          {tools}
          <Button
            aria-label={say('photosurvey.smaller')}
            disabled={zoom === 0}
            onClick={() => {
              zoomTo(zoom - 1);
            }}
          >
            −
          </Button>
          <Button
            aria-label={say('photosurvey.larger')}
            disabled={zoom === ZOOMS.length - 1}
            onClick={() => {
              zoomTo(zoom + 1);
            }}
          >
            +
          </Button>
        </span>
      </div>
      <div ref={scroller} className="min-h-0 flex-1 overflow-auto bg-sand">
        <div
          ref={sheet}
          data-testid="picture"
          className="relative mx-auto touch-none select-none"
          style={{
            aspectRatio: `${picture.width} / ${picture.height}`,
            height: `${100 * (ZOOMS[zoom] ?? 1)}%`,
            cursor: moving ? 'move' : 'crosshair',
          }}
          onPointerDown={down}
          onPointerMove={move}
          onPointerUp={up}
          onPointerCancel={(event) => {
            fingers.current.delete(event.pointerId);
            setPress(null);
          }}
        >
          <img src={url} alt="" draggable={false} className="absolute inset-0 h-full w-full" />
          <svg
            viewBox={`0 0 ${picture.width} ${picture.height}`}
            className="absolute inset-0 h-full w-full"
            role="img"
            aria-label={say('photosurvey.touched', { count: picture.limbs.length })}
          >
            <Staff picture={picture} unit={unit} />
            {picture.limbs.map((limb) => (
              <LimbLine key={limb.id} limb={limb} unit={unit} lit={limb.id === chosen} />
            ))}
            {shown && <Cross at={shown.at} unit={unit} />}
            {press && !press.handle && <Cross at={press.at} unit={unit} />}
          </svg>
        </div>
      </div>
      {press && <Loupe url={url} picture={picture} at={press.at} width={sheet.current?.clientWidth ?? 1} />}
    </div>
  );
}

/** The place under the finger, enlarged in the corner that is away from it. */
function Loupe({ url, picture, at, width }: { url: string; picture: Picture; at: Point; width: number }) {
  const scale = (width / picture.width) * LOUPE_ZOOM;
  const left = at.x > picture.width / HALF;
  return (
    <div
      aria-hidden
      className={`pointer-events-none absolute top-14 overflow-hidden rounded-full border-2 border-ink bg-paper ${left ? 'left-3' : 'right-3'}`}
      style={{ width: LOUPE_PX, height: LOUPE_PX }}
    >
      <img
        src={url}
        alt=""
        className="absolute max-w-none"
        style={{
          width: picture.width * scale,
          height: picture.height * scale,
          left: LOUPE_PX / HALF - at.x * scale,
          top: LOUPE_PX / HALF - at.y * scale,
        }}
      />
      <span className="absolute inset-y-0 left-1/2 w-px bg-lichen" />
      <span className="absolute inset-x-0 top-1/2 h-px bg-lichen" />
    </div>
  );
}

function Cross({ at, unit }: { at: Point; unit: number }) {
  const arm = 7 * unit;
  return (
    <path
      d={`M${at.x - arm} ${at.y}H${at.x + arm}M${at.x} ${at.y - arm}V${at.y + arm}`}
      className="stroke-lichen"
      strokeWidth={1.4 * unit}
      fill="none"
    />
  );
}

function Staff({ picture, unit }: { picture: Picture; unit: number }) {
  const { foot, head, top } = picture;
  return (
    <g className="stroke-ink" strokeWidth={1.6 * unit} fill="none">
      {foot && head && (
        <>
          <line
            x1={foot.x}
            y1={foot.y}
            x2={head.x}
            y2={head.y}
            className="stroke-paper"
            strokeWidth={3.4 * unit}
          />
          <line x1={foot.x} y1={foot.y} x2={head.x} y2={head.y} strokeDasharray={`${4 * unit} ${3 * unit}`} />
        </>
      )}
      {[foot, head, top].map(
        (at) =>
          at && <circle key={`${at.x} ${at.y}`} cx={at.x} cy={at.y} r={3 * unit} className="fill-paper" />,
      )}
    </g>
  );
}

function LimbLine({ limb, unit, lit }: { limb: Trace; unit: number; lit: boolean }) {
  const points = [limb.base, limb.bend, limb.tip].filter((at) => at !== undefined);
  const line = points.map((at) => `${at.x},${at.y}`).join(' ');
  const label = limb.tip ?? limb.base;
  return (
    <g>
      <polyline points={line} fill="none" className="stroke-paper" strokeWidth={(lit ? 6 : 4) * unit} />
      <polyline
        points={line}
        fill="none"
        className={lit ? 'stroke-lichen' : 'stroke-moss'}
        strokeWidth={(lit ? 3 : 2) * unit}
      />
      {points.map((at) => (
        <circle
          key={`${at.x} ${at.y}`}
          cx={at.x}
          cy={at.y}
          r={2.1 * unit}
          className="fill-paper stroke-ink"
          strokeWidth={unit}
        />
      ))}
      <g fontSize={9 * unit} fontWeight={700} textAnchor="middle">
        <circle
          cx={label.x}
          cy={label.y - 9 * unit}
          r={6.4 * unit}
          className="fill-paper stroke-ink"
          strokeWidth={unit}
        />
        <text x={label.x} y={label.y - 5.8 * unit} className="fill-ink">
          {limb.id}
        </text>
      </g>
    </g>
  );
}
