import { useSay } from '../text/say';
import { useState } from 'react';
import type { FieldStep } from '../api/client';
import type { OpenVisit } from './visits';

interface Props {
  step: FieldStep;
  language: string;
  state: OpenVisit['steps'][number] | undefined;
  set: (state: OpenVisit['steps'][number] | undefined) => void;
}

/** One step, large: what, where, with what, and two thumbs' worth of buttons. */
export function StepCard({ step, language, state, set }: Props) {
  const say = useSay();
  const [skipping, setSkipping] = useState(false);
  const [why, setWhy] = useState('');
  const done = state?.outcome === 'as-planned';
  const skipped = state?.outcome === 'skipped';
  return (
    <li className={`border-b-2 border-line py-3 ${state ? 'opacity-75' : ''}`}>
      <div className="grid grid-cols-[44px_1fr] gap-3">
        <span
          className={`grid h-11 w-11 place-items-center border-2 border-ink text-[22px] font-bold ${done ? 'bg-ink text-paper' : ''}`}
        >
          {done ? '✓' : step.number}
        </span>
        <div>
          <b className={`text-[21px] leading-tight ${done ? 'line-through' : ''}`}>{step.title[language]}</b>
          <p className="text-[16px]">
            {step.where[language] ? `${step.where[language]} · ` : ''}
            {step.tool[language]}
          </p>
          {(step.warnings[language] ?? []).map((warning) => (
            <b key={warning} className="mr-2 inline-block border-2 border-ink px-1.5 text-[16px]">
              {warning}
            </b>
          ))}
          {skipped && <p className="text-[16px] text-lichen">{state.reason}</p>}
        </div>
      </div>
      {skipping ? (
        <form
          className="mt-2 flex gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (why.trim()) {
              set({ outcome: 'skipped', reason: why.trim() });
              setSkipping(false);
            }
          }}
        >
          <input
            autoFocus
            aria-label={say('field.why')}
            placeholder={say('field.why')}
            value={why}
            onChange={(event) => {
              setWhy(event.target.value);
            }}
            className="min-h-12 min-w-0 flex-1 rounded-md border border-muted/50 bg-paper px-2"
          />
          <button type="submit" className="min-h-12 rounded-md bg-ink px-4 font-semibold text-paper">
            {say('field.skip')}
          </button>
        </form>
      ) : (
        <div className="mt-2 grid grid-cols-[2fr_1fr] gap-2">
          <button
            type="button"
            aria-label={`${state ? say('field.undo') : say('field.done')}: ${step.title[language] ?? ''}`}
            disabled={step.stop && !state}
            onClick={() => {
              set(state ? undefined : { outcome: 'as-planned', reason: '' });
            }}
            className={`min-h-12 rounded-md text-[18px] font-semibold disabled:opacity-45 ${state ? 'border border-muted/50' : 'bg-moss text-paper'}`}
          >
            {state ? say('field.undo') : say('field.done')}
          </button>
          {!state && (
            <button
              type="button"
              aria-label={`${say('field.skip')}: ${step.title[language] ?? ''}`}
              onClick={() => {
                setSkipping(true);
              }}
              className="min-h-12 rounded-md border border-muted/50 text-[18px]"
            >
              {say('field.skip')}
            </button>
          )}
        </div>
      )}
    </li>
  );
}
