import { say, useSay, type Code } from '../text/say';
import { term } from '../text/term';
import { typedNumber } from '../ui/numbers';
import type { LimbRow, SurveyForm } from './form';
import { Gauge } from './Gauge';
import { Big, Stepper } from './Thumb';

/** The questions asked of each limb, in the order the hand goes. */
export const STEPS = ['place', 'direction', 'angle', 'thickness', 'length', 'wood', 'condition'] as const;
export type LimbStep = (typeof STEPS)[number];

export const STEP_WORDS: Record<LimbStep, string> = {
  get place() {
    return say('limb-steps.where-does-it-start');
  },
  get direction() {
    return say('limb-steps.which-way-does-it-go');
  },
  get angle() {
    return say('limb-steps.how-steep-is-it');
  },
  get thickness() {
    return say('limb-steps.how-thick-at-the-base');
  },
  get length() {
    return say('limb-steps.how-long');
  },
  get wood() {
    return say('limb-steps.what-does-it-carry');
  },
  get condition() {
    return say('limb-steps.is-it-sound');
  },
};

const CLOCK = [12, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11];
const THICK: [Code, number][] = [
  ['limb-steps.pencil', 8],
  ['limb-steps.finger', 15],
  ['limb-steps.thumb', 22],
  ['limb-steps.wrist', 55],
];
const LONG = [40, 60, 90, 130, 180, 250];
const COUNTS = (): [string, string, string][] => [
  ['pencil/side', say('limb-steps.pencil-shoots-to-the-sides'), 'shoots'],
  ['strong/up', say('limb-steps.strong-uprights'), 'shoots'],
  ['matchstick/side', say('limb-steps.matchstick-shoots'), 'shoots'],
  ['pencil/down', say('limb-steps.hanging-shoots'), 'shoots'],
];
const SEEN = ['sound', 'dead', 'broken', 'diseased', 'splitting', 'damaged'];

interface Props {
  step: LimbStep;
  form: SurveyForm;
  limb: LimbRow;
  fault: (field: string) => string | undefined;
  ideal: number;
  change: (next: Partial<LimbRow>) => void;
  /** Goes on once one tap has answered. */
  onward: () => void;
}

/** One question of one limb, answered with one tap where it can be. */
export function LimbSteps({ step, form, limb, fault, ideal, change, onward }: Props) {
  const say = useSay();
  const answerWith = (next: Partial<LimbRow>) => {
    change(next);
    onward();
  };
  const row = typedNumber(form.rowBearing) || 0;
  const hourOf = (bearing: number) => ((Math.round(((bearing - row + 720) % 360) / 30) + 11) % 12) + 1;
  if (step === 'place') {
    const carriers = form.limbs.filter(
      (one, i) =>
        one.key !== limb.key &&
        (one.id === limb.parent || (one.parent === 'trunk' && i >= form.limbs.length - 8)),
    );
    return (
      <div className="grid gap-3">
        <div className="flex flex-wrap gap-2" role="group" aria-label={say('limb-steps.it-grows-from')}>
          <Big
            chosen={limb.parent === 'trunk'}
            onClick={() => {
              change({ parent: 'trunk' });
            }}
          >
            {say('limb-steps.trunk')}
          </Big>
          {carriers.map((one) => (
            <Big
              key={one.key}
              chosen={limb.parent === one.id}
              onClick={() => {
                change({ parent: one.id, role: 'lateral' });
              }}
            >
              {say('limb-steps.limb-id', { id: one.id })}
            </Big>
          ))}
        </div>
        <Stepper
          name={
            limb.parent === 'trunk'
              ? say('limb-steps.height-on-the-trunk')
              : say('limb-steps.along-limb', { limb: limb.parent })
          }
          unit="cm"
          step={5}
          value={limb.at_cm}
          fault={fault('at_cm')}
          change={(at_cm) => {
            change({ at_cm });
          }}
        />
      </div>
    );
  }
  if (step === 'direction') {
    return (
      <div className="grid gap-3">
        <p className="text-[14.5px] text-muted">{say('limb-steps.as-on-a-clock-seen')}</p>
        <div
          className="grid grid-cols-6 gap-2"
          role="group"
          aria-label={say('limb-steps.direction-as-on-a-clock')}
        >
          {CLOCK.map((hour) => (
            <Big
              key={hour}
              chosen={hourOf(typedNumber(limb.bearing_deg)) === hour}
              onClick={() => {
                answerWith({ bearing_deg: String(Math.round((row + (hour % 12) * 30 + 360) % 360)) });
              }}
              className="px-0"
            >
              {hour}
            </Big>
          ))}
        </div>
        <Stepper
          name={say('name.bearing-from-north')}
          unit="°"
          step={10}
          value={limb.bearing_deg}
          fault={fault('bearing_deg')}
          change={(bearing_deg) => {
            change({ bearing_deg });
          }}
        />
        <Gauge
          take={(angle, bearing) => {
            change({
              angle_deg: String(angle),
              ...(bearing === null ? {} : { bearing_deg: String(bearing) }),
            });
          }}
        />
      </div>
    );
  }
  if (step === 'angle') {
    return (
      <div className="grid gap-3">
        <div className="grid grid-cols-3 gap-2">
          {(
            [
              ['limb-steps.steep', 30],
              ['limb-steps.wanted', ideal],
              ['limb-steps.flat', 88],
            ] as const
          ).map(([words, degrees]) => (
            <Big
              key={words}
              chosen={typedNumber(limb.angle_deg) === degrees}
              onClick={() => {
                answerWith({ angle_deg: String(degrees) });
              }}
            >
              {say(words)}
              <span className="block text-[13px] font-normal">{degrees}°</span>
            </Big>
          ))}
        </div>
        <Stepper
          name={say('name.degrees-from-upright')}
          unit="°"
          step={5}
          value={limb.angle_deg}
          fault={fault('angle_deg')}
          change={(angle_deg) => {
            change({ angle_deg });
          }}
        />
        <Gauge
          take={(angle) => {
            answerWith({ angle_deg: String(angle) });
          }}
        />
      </div>
    );
  }
  if (step === 'thickness') {
    return (
      <div className="grid gap-3">
        <div className="grid grid-cols-4 gap-2">
          {THICK.map(([words, mm]) => (
            <Big
              key={words}
              chosen={typedNumber(limb.diameter_mm) === mm}
              onClick={() => {
                answerWith({ diameter_mm: String(mm) });
              }}
              className="px-1"
            >
              {say(words)}
              <span className="block text-[13px] font-normal">{say('limb-steps.mm-mm', { mm })}</span>
            </Big>
          ))}
        </div>
        <Stepper
          name={say('name.thickness')}
          unit="mm"
          step={2}
          value={limb.diameter_mm}
          fault={fault('diameter_mm')}
          change={(diameter_mm) => {
            change({ diameter_mm });
          }}
        />
      </div>
    );
  }
  if (step === 'length') {
    return (
      <div className="grid gap-3">
        <div className="grid grid-cols-3 gap-2">
          {LONG.map((cm) => (
            <Big
              key={cm}
              chosen={typedNumber(limb.length_cm) === cm}
              onClick={() => {
                answerWith({ length_cm: String(cm) });
              }}
            >
              {say('limb-steps.cm-cm', { cm })}
            </Big>
          ))}
        </div>
        <Stepper
          name={say('name.length')}
          unit="cm"
          step={10}
          value={limb.length_cm}
          fault={fault('length_cm')}
          change={(length_cm) => {
            change({ length_cm });
          }}
        />
      </div>
    );
  }
  if (step === 'wood') {
    return (
      <div className="grid gap-2">
        <p className="text-[14.5px] text-muted">{say('limb-steps.count-or-leave-it-what')}</p>
        {COUNTS().map(([cell, words]) => (
          <Count
            key={cell}
            words={words}
            value={limb.shoots[cell] ?? ''}
            change={(count) => {
              change({ shoots: { ...limb.shoots, [cell]: count } });
            }}
          />
        ))}
        <Count
          words={say('limb-steps.spurs')}
          value={limb.spurs}
          by={5}
          change={(spurs) => {
            change({ spurs });
          }}
        />
      </div>
    );
  }
  return (
    <div className="grid grid-cols-2 gap-2">
      {SEEN.map((condition) => (
        <Big
          key={condition}
          chosen={limb.condition === condition}
          onClick={() => {
            change({ condition });
          }}
        >
          {term(condition)}
        </Big>
      ))}
    </div>
  );
}

function Count({
  words,
  value,
  by = 1,
  change,
}: {
  words: string;
  value: string;
  by?: number;
  change: (count: string) => void;
}) {
  const say = useSay();
  const now = value === '' ? null : typedNumber(value);
  return (
    <div className="grid grid-cols-[1fr_52px_56px_52px] items-center gap-2 text-[16px]">
      <span>{words}</span>
      <Big
        aria-label={say('limb-steps.fewer-words', { words })}
        disabled={now === null}
        onClick={() => {
          change(now === null || now - by < 0 ? '' : String(now - by));
        }}
        className="px-0"
      >
        −
      </Big>
      <span className="text-center text-[19px] font-bold" aria-live="polite">
        {now ?? <span className="text-[13px] font-normal text-muted">{say('limb-steps.not-yet')}</span>}
      </span>
      <Big
        aria-label={say('limb-steps.more-words', { words })}
        onClick={() => {
          change(String((now ?? 0) + by));
        }}
        className="px-0"
      >
        +
      </Big>
    </div>
  );
}
