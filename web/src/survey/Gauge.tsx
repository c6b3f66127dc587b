import { useSay } from '../text/say';
import { useState } from 'react';
import { useGauge } from './gauge';
import { Big } from './Thumb';

/** Takes an angle and a bearing from the phone laid along the limb; a phone without a sensor gets sliders to stand in. */
export function Gauge({ take }: { take: (angle: number, bearing: number | null) => void }) {
  const say = useSay();
  const [on, setOn] = useState(false);
  const { live, sensor } = useGauge(on);
  const [tilt, setTilt] = useState(55);
  const [heading, setHeading] = useState(0);
  if (!on) {
    return (
      <Big
        onClick={() => {
          setOn(true);
        }}
      >
        {say('gauge.measure-with-the-phone')}
      </Big>
    );
  }
  const now = sensor === 'live' && live ? live : { angle: tilt, bearing: heading };
  return (
    <div className="border border-muted/40 p-3">
      <p className="text-[15px]" role="status">
        {sensor === 'asking' && say('gauge.lay-the-phone-along-the')}
        {sensor === 'live' && say('gauge.hold-the-phone-along-the')}
        {sensor === 'none' && say('gauge.no-sensor-answers-here-set')}
      </p>
      {sensor === 'none' && (
        <div className="mt-2 grid gap-2">
          <label className="text-[14px] text-muted">
            {say('gauge.angle')}
            <input
              type="range"
              min={0}
              max={180}
              value={tilt}
              onChange={(event) => {
                setTilt(Number(event.target.value));
              }}
              className="block h-11 w-full accent-ink"
            />
          </label>
          <label className="text-[14px] text-muted">
            {say('gauge.bearing')}
            <input
              type="range"
              min={0}
              max={359}
              value={heading}
              onChange={(event) => {
                setHeading(Number(event.target.value));
              }}
              className="block h-11 w-full accent-ink"
            />
          </label>
        </div>
      )}
      <p className="mt-1 font-display text-[26px] font-bold" data-testid="gauge">
        {Math.round(now.angle)}°{' '}
        {now.bearing === null ? '' : say('gauge.to-bearing', { bearing: Math.round(now.bearing) })}
      </p>
      <div className="mt-2 grid grid-cols-2 gap-2">
        <Big
          chosen
          onClick={() => {
            take(Math.round(now.angle), now.bearing === null ? null : Math.round(now.bearing) % 360);
            setOn(false);
          }}
        >
          {say('gauge.take-it')}
        </Big>
        <Big
          onClick={() => {
            setOn(false);
          }}
        >
          {say('gauge.close')}
        </Big>
      </div>
    </div>
  );
}
