import { useEffect, useState } from 'react';

/** Where the phone's long side points: degrees from upright, and its bearing from north where it has a compass. */
export interface Pointing {
  angle: number;
  bearing: number | null;
}

interface Turned extends Event {
  alpha?: number | null;
  beta?: number | null;
  webkitCompassHeading?: number;
  absolute?: boolean;
}

const WAIT = 1200;

/**
 * How a phone laid along a limb points. Its long side in the world is (−sin α cos β, cos α cos β, sin β) in the axes of the
 * orientation event, so the angle from upright is 90° − β folded into 0…180, and the bearing follows from α, or from the
 * phone's own compass.
 */
export function pointing(turned: Turned): Pointing | null {
  if (turned.beta == null) {
    return null;
  }
  const beta = (turned.beta * Math.PI) / 180;
  const angle = (Math.acos(Math.max(-1, Math.min(1, Math.sin(beta)))) * 180) / Math.PI;
  const forward = Math.cos(beta) >= 0 ? 0 : 180;
  const heading =
    turned.webkitCompassHeading ?? (turned.alpha == null ? null : (360 - turned.alpha + forward) % 360);
  return { angle, bearing: heading };
}

/** The phone as a gauge: live where it has a sensor; where none answers, the caller shows the simulated one. */
export function useGauge(on: boolean): { live: Pointing | null; sensor: 'asking' | 'live' | 'none' } {
  const [live, setLive] = useState<Pointing | null>(null);
  const [sensor, setSensor] = useState<'asking' | 'live' | 'none'>('asking');
  useEffect(() => {
    if (!on) {
      return undefined;
    }
    let answered = false;
    const turned = (event: Event) => {
      const now = pointing(event);
      if (now) {
        answered = true;
        setSensor('live');
        setLive(now);
      }
    };
    const listen = () => {
      window.addEventListener('deviceorientationabsolute', turned);
      window.addEventListener('deviceorientation', turned);
    };
    const ask = (
      window.DeviceOrientationEvent as unknown as { requestPermission?: () => Promise<string> } | undefined
    )?.requestPermission;
    if (ask) {
      ask()
        .then((given) => {
          if (given === 'granted') listen();
          else setSensor('none');
        })
        .catch(() => {
          setSensor('none');
        });
    } else {
      listen();
    }
    const wait = setTimeout(() => {
      if (!answered) setSensor('none');
    }, WAIT);
    return () => {
      clearTimeout(wait);
      window.removeEventListener('deviceorientationabsolute', turned);
      window.removeEventListener('deviceorientation', turned);
    };
  }, [on]);
  return { live, sensor };
}
