import { useEffect, useRef } from 'react';
import { Camera, type View } from './camera';
import type { Stand } from './geometry';
import { paintTree, type Showing } from './paint';
import { paletteNow } from './palette';

const MARGINS = { top: 2, side: 2, bottom: 3 };

/** The same drawing, thumb-sized. */
export function SmallTree({
  stand,
  view,
  showing,
  width,
  height,
}: {
  stand: Stand;
  view: View;
  showing: Showing;
  width: number;
  height: number;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const element = canvas.current;
    const g = element?.getContext('2d');
    if (!element || !g) {
      return undefined;
    }
    const wait = setTimeout(() => {
      const ratio = Math.min(2, window.devicePixelRatio || 1);
      element.width = width * ratio;
      element.height = height * ratio;
      g.setTransform(ratio, 0, 0, ratio, 0, 0);
      g.clearRect(0, 0, width, height);
      const camera = new Camera(
        stand,
        { ...view, zoom: 1, panX: 0, panY: 0, tilt: Math.min(0.2, view.tilt) },
        width,
        height,
        MARGINS,
      );
      const bare = { ...stand, axes: stand.axes.filter((axis) => axis.kind !== 'spur') };
      paintTree(g, camera, bare, showing, paletteNow());
    }, 120);
    return () => {
      clearTimeout(wait);
    };
  }, [stand, view, showing, width, height]);
  return <canvas ref={canvas} aria-hidden className="pointer-events-none" style={{ width, height }} />;
}
