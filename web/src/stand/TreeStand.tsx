import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { HarvestLayer, LightLayer, TargetShape, TrainingAnswer } from '../api/client';
import { Camera, type View } from './camera';
import { flagAt, paintFlags, placeFlags, type Flag, type Placed } from './flags';
import type { Stand } from './geometry';
import { firstHaste, nextHaste, sharpness, type Haste } from './haste';
import { draggedTo, handleAt, paintHandles, type Handle } from './handles';
import { paintSection, paintTarget, paintTraining } from './overlays';
import { paintFruit, paintSprouts } from './layers';
import { hidesWood, paintTree, pick, type Drawn, type Picked, type Showing } from './paint';
import { paletteNow } from './palette';
import { paintNeighbours, paintScenery, paintShadow } from './scenery';
import { lineWords, paintStaff, type HeightLine } from './staff';

interface Props {
  stand: Stand;
  view: View;
  onView: (view: View) => void;
  showing: Showing;
  flags?: Flag[];
  lines?: HeightLine[];
  label: string;
  /** Names to write at limb tips. */
  names: ReadonlyMap<string, string>;
  /** While true, a click says where on the wood something is to be done. */
  placing?: boolean;
  onPick?: (picked: Picked | null) => void;
  onFlag?: (index: number) => void;
  /** What would be done at the place under the pointer, in a few words. */
  placeWords?: (picked: Picked) => string;
  margins?: { top: number; side: number; bottom: number };
  /** Size to fit in the picture instead of the tree's own, to show two at one scale. */
  frame?: { top: number; radius: number };
  /** What stands behind or on the tree beside its wood. */
  extras?: Extras;
  /** Points that can be dragged, and what is told when one was. */
  handles?: readonly Handle[];
  onHandle?: (handle: Handle, to: [number, number, number]) => void;
}

/** The outline wanted at its age, a slice through the light, fruit where it hangs, what holds bent limbs, sprouts to come. */
export interface Extras {
  target?: TargetShape | undefined;
  section?: LightLayer['sections'][number] | undefined;
  fruit?: { hung: HarvestLayer['hung']; diameter: number } | undefined;
  held?: TrainingAnswer[] | undefined;
  /** Upright shoots expected about the cuts. */
  sprouts?: { at: readonly number[]; count: number }[] | undefined;
}

const NO_HANDLES: readonly Handle[] = [];
const NO_FLAGS: Flag[] = [];
const NO_LINES: HeightLine[] = [];
const nothing = () => undefined;
const noWords = () => '';
const TURN = 0.008;
const CLICK = 5;
const REACH = 12;

/** The tree in the open, walked round by dragging or with the arrow keys. */
export function TreeStand(props: Props) {
  const { stand, onView, showing, label, names } = props;
  // while the tree is turned only the drawing follows; the page about it is told where it came to rest
  const [turned, setTurned] = useState<View | null>(null);
  const view = turned ?? props.view;
  const { flags = NO_FLAGS, lines = NO_LINES, placing = false } = props;
  const { onPick = nothing, onFlag = nothing, placeWords = noWords } = props;
  const canvas = useRef<HTMLCanvasElement>(null);
  const drawn = useRef<Drawn[]>([]);
  const placed = useRef<Placed[]>([]);
  const drag = useRef<{ x: number; y: number; moved: boolean; pan: boolean; view: View } | null>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  const [hover, setHover] = useState<Picked | null>(null);
  const [turning, setTurning] = useState(false);
  const haste = useRef<Haste>(1);
  const [dusk, setDusk] = useState(0);
  const margins = props.margins;
  const extras = props.extras;
  const handles = props.handles ?? NO_HANDLES;
  const held = useRef<Handle | null>(null);
  const [dragged, setDragged] = useState<{ handle: Handle; x: number; y: number } | null>(null);
  const frameTop = props.frame?.top ?? stand.top;
  const frameRadius = props.frame?.radius ?? stand.radius;
  const bottom = margins?.bottom ?? 52;

  useEffect(() => {
    const host = canvas.current?.parentElement;
    if (!host) {
      return undefined;
    }
    const watch = new ResizeObserver(() => {
      setSize({ width: host.clientWidth, height: host.clientHeight });
    });
    watch.observe(host);
    const light = window.matchMedia('(prefers-color-scheme: dark)');
    const changed = () => {
      setDusk((n) => n + 1);
    };
    light.addEventListener('change', changed);
    void document.fonts.ready.then(changed);
    return () => {
      watch.disconnect();
      light.removeEventListener('change', changed);
    };
  }, []);

  const camera = useMemo(
    () =>
      new Camera(
        { top: frameTop, radius: frameRadius },
        view,
        Math.max(1, size.width),
        Math.max(1, size.height),
        margins,
      ),
    [frameTop, frameRadius, view, size, margins],
  );

  useEffect(() => {
    const element = canvas.current;
    const g = element?.getContext('2d');
    if (!element || !g || size.width === 0) {
      return undefined;
    }
    const frame = requestAnimationFrame(() => {
      const begun = performance.now();
      const left: Haste = turning ? haste.current : 0;
      const ratio = Math.min(2, window.devicePixelRatio || 1) * sharpness(left);
      element.width = size.width * ratio;
      element.height = size.height * ratio;
      g.setTransform(ratio, 0, 0, ratio, 0, 0);
      const colours = paletteNow();
      paintScenery(g, camera, stand, colours);
      paintNeighbours(g, camera, stand, colours, left);
      if (!hidesWood(showing)) paintStaff(g, camera, stand, lines, colours);
      paintShadow(g, camera, stand, colours);
      if (extras?.target) {
        paintTarget(g, camera, extras.target, stand.rowBearing, colours);
      }
      drawn.current = paintTree(g, camera, stand, showing, colours, left);
      if (hidesWood(showing)) paintStaff(g, camera, stand, lines, colours);
      if (extras?.section) {
        paintSection(g, camera, extras.section, colours);
      }
      if (extras?.held && extras.held.length > 0) {
        paintTraining(g, camera, extras.held, colours);
      }
      if (extras?.sprouts) {
        paintSprouts(g, camera, extras.sprouts, colours.sprout);
      }
      if (extras?.fruit) {
        paintFruit(g, camera, extras.fruit.hung, extras.fruit.diameter, stand.foliage.fruit, colours);
      }
      paintNames(g, drawn.current, names, colours);
      placed.current = showing.stage === 'marks' ? placeFlags(flags, camera, lineWords(camera, lines)) : [];
      paintFlags(g, placed.current, colours);
      paintHandles(g, handles, camera, dragged, colours);
      if (placing && hover) {
        paintCut(g, hover, placeWords(hover), colours);
      }
      // once the browser has laid down what was painted, which takes as long again
      setTimeout(() => {
        const took = performance.now() - begun;
        haste.current = turning ? nextHaste(haste.current, took) : firstHaste(took);
      });
    });
    return () => {
      cancelAnimationFrame(frame);
    };
  }, [
    camera,
    stand,
    showing,
    flags,
    lines,
    names,
    size,
    hover,
    placing,
    placeWords,
    dusk,
    extras,
    turning,
    handles,
    dragged,
  ]);

  const place = (event: React.PointerEvent | React.MouseEvent): [number, number] => {
    const box = event.currentTarget.getBoundingClientRect();
    return [event.clientX - box.left, event.clientY - box.top];
  };

  const turn = useCallback(
    (sideways: number, up: number) => {
      onView({
        ...view,
        bearing: view.bearing + sideways,
        tilt: Math.max(-0.05, Math.min(1.35, view.tilt + up)),
      });
    },
    [view, onView],
  );

  useEffect(() => {
    const element = canvas.current;
    if (!element) {
      return undefined;
    }
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      const box = element.getBoundingClientRect();
      const zoom = Math.max(0.6, Math.min(8, view.zoom * Math.exp(-event.deltaY * 0.0012)));
      onView(
        zoomedAbout(
          view,
          zoom,
          event.clientX - box.left - box.width / 2,
          event.clientY - box.bottom + bottom,
        ),
      );
    };
    element.addEventListener('wheel', wheel, { passive: false });
    return () => {
      element.removeEventListener('wheel', wheel);
    };
  }, [view, onView, bottom]);

  /** The tree has been turned as far as wanted. */
  const rest = () => {
    drag.current = null;
    setTurning(false);
    if (turned) onView(turned);
    setTurned(null);
  };

  const keys = (event: React.KeyboardEvent) => {
    const moves: Record<string, () => void> = {
      ArrowLeft: () => {
        turn(-0.12, 0);
      },
      ArrowRight: () => {
        turn(0.12, 0);
      },
      ArrowUp: () => {
        turn(0, 0.08);
      },
      ArrowDown: () => {
        turn(0, -0.08);
      },
      '+': () => {
        onView(zoomedAbout(view, Math.min(8, view.zoom * 1.2), 0, bottom - size.height / 2));
      },
      '-': () => {
        onView(zoomedAbout(view, Math.max(0.6, view.zoom / 1.2), 0, bottom - size.height / 2));
      },
    };
    const move = moves[event.key === '=' ? '+' : event.key];
    if (move) {
      event.preventDefault();
      move();
    }
  };

  return (
    <canvas
      ref={canvas}
      tabIndex={0}
      role="img"
      aria-label={label}
      className={`block h-full w-full touch-none select-none ${placing ? 'cursor-crosshair' : 'cursor-grab'}`}
      onKeyDown={keys}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        held.current = handleAt(handles, camera, ...place(event));
        if (held.current) return;
        drag.current = {
          x: event.clientX,
          y: event.clientY,
          moved: false,
          pan: event.button === 1 || event.shiftKey,
          view,
        };
      }}
      onPointerMove={(event) => {
        if (held.current) {
          const [x, y] = place(event);
          setDragged({ handle: held.current, x, y });
          return;
        }
        const from = drag.current;
        if (!from) {
          setHover(placing ? pick(drawn.current, ...place(event), REACH) : null);
          return;
        }
        const dx = event.clientX - from.x;
        const dy = event.clientY - from.y;
        if (!from.moved && Math.hypot(dx, dy) < CLICK) {
          return;
        }
        from.moved = true;
        setTurning(true);
        if (from.pan) {
          setTurned({ ...from.view, panX: from.view.panX + dx, panY: from.view.panY + dy });
        } else {
          setTurned({
            ...from.view,
            bearing: from.view.bearing + dx * TURN,
            tilt: Math.max(-0.05, Math.min(1.35, from.view.tilt + dy * TURN * 0.7)),
          });
        }
      }}
      onPointerUp={(event) => {
        if (held.current) {
          const handle = held.current;
          held.current = null;
          setDragged(null);
          if (dragged) props.onHandle?.(handle, draggedTo(handle, camera, ...place(event)));
          return;
        }
        const from = drag.current;
        rest();
        if (!from || from.moved) {
          return;
        }
        const [x, y] = place(event);
        const flag = flagAt(placed.current, x, y);
        if (flag !== null && !placing) {
          onFlag(flag);
        } else {
          onPick(pick(drawn.current, x, y, REACH));
        }
      }}
      onPointerCancel={() => {
        held.current = null;
        setDragged(null);
        rest();
      }}
      onPointerLeave={() => {
        setHover(null);
      }}
      onDoubleClick={() => {
        onView({ ...view, zoom: 1, panX: 0, panY: 0 });
      }}
    />
  );
}

/** A view enlarged so that what lies under a point stays there; the point is counted from the foot of the trunk unpanned. */
function zoomedAbout(view: View, zoom: number, x: number, y: number): View {
  const times = zoom / view.zoom;
  return { ...view, zoom, panX: x - (x - view.panX) * times, panY: y - (y - view.panY) * times };
}

function paintNames(
  g: CanvasRenderingContext2D,
  drawn: Drawn[],
  names: ReadonlyMap<string, string>,
  colours: ReturnType<typeof paletteNow>,
) {
  g.font = '600 13px "Atkinson Hyperlegible Next Variable", sans-serif';
  g.textAlign = 'center';
  g.textBaseline = 'middle';
  for (const one of drawn) {
    const name = one.axis.kind === 'limb' ? names.get(one.axis.id) : undefined;
    if (name === undefined) {
      continue;
    }
    const end = one.xs.length - 1;
    const x = one.xs[end] ?? 0;
    const y = (one.ys[end] ?? 0) - 13;
    const width = g.measureText(name).width + 12;
    g.fillStyle = colours.paper;
    g.globalAlpha = 0.92;
    g.beginPath();
    g.roundRect(x - width / 2, y - 10, width, 20, 4);
    g.fill();
    g.globalAlpha = 1;
    g.fillStyle = colours.ink;
    g.fillText(name, x, y + 0.5);
  }
}

function paintCut(
  g: CanvasRenderingContext2D,
  hover: Picked,
  words: string,
  colours: ReturnType<typeof paletteNow>,
) {
  const half = hover.width / 2 + 9;
  const nx = -Math.sin(hover.angle) * half;
  const ny = Math.cos(hover.angle) * half;
  g.strokeStyle = colours.tape;
  g.lineWidth = 3;
  g.beginPath();
  g.moveTo(hover.x - nx, hover.y - ny);
  g.lineTo(hover.x + nx, hover.y + ny);
  g.stroke();
  g.font = '600 13px "Atkinson Hyperlegible Next Variable", sans-serif';
  g.textAlign = 'left';
  const width = g.measureText(words).width + 14;
  g.fillStyle = colours.paper;
  g.beginPath();
  g.roundRect(hover.x + 16, hover.y - 30, width, 24, 4);
  g.fill();
  g.fillStyle = colours.ink;
  g.fillText(words, hover.x + 23, hover.y - 17);
}
