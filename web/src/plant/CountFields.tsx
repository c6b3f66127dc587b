import { inUnits, toMetric, unitOfField, useUnits, type Unit } from '../text/units';
import { useState, type ReactNode } from 'react';
import { readNumber, showNumber } from '../ui/numbers';
import { namesIn } from './countForm';

const BOX = 'min-h-10 rounded-md border border-muted/50 bg-paper px-2 text-[15px]';

/** A field with its name over it. */
export function Named({ name, children }: { name: string; children: ReactNode }) {
  return (
    <label className="flex flex-col gap-0.5 text-[13px] text-muted">
      {name}
      {children}
    </label>
  );
}

/** A number as people write it; nothing where the field is empty. */
export function NumberField({
  name,
  value,
  unit,
  set,
  width = 'w-20',
}: {
  name: string;
  value: number | null | undefined;
  /** Of the figure as it is stored; it is shown and typed in the reader's. */
  unit?: Unit | undefined;
  set: (value: number | undefined) => void;
  width?: string;
}) {
  const [text, setText] = useState<string | null>(null);
  const system = useUnits();
  const metric = (typed: string) => {
    const read = readNumber(typed);
    return read === undefined || unit === undefined ? read : toMetric(read, unit, system);
  };
  const read = metric(text ?? '');
  const own = value == null || unit === undefined ? value : inUnits(value, unit, system);
  const stays = text !== null && (read === (value ?? undefined) || Number.isNaN(read));
  const shown = stays ? text : showNumber(own);
  return (
    <Named name={name}>
      <input
        inputMode="decimal"
        value={shown}
        aria-invalid={stays && Number.isNaN(read)}
        onChange={(event) => {
          setText(event.target.value);
          const next = metric(event.target.value);
          if (!Number.isNaN(next)) set(next);
        }}
        className={`${BOX} ${width} text-ink aria-invalid:border-lichen`}
      />
    </Named>
  );
}

/** Several numbers of one thing, each under its name. */
export function NumberFields<K extends string>({
  fields,
  values,
  set,
  width,
}: {
  fields: readonly (readonly [key: K, name: string])[];
  values: Partial<Record<K, number | null>>;
  set: (key: K, value: number | undefined) => void;
  width?: string;
}) {
  return fields.map(([key, name]) => (
    <NumberField
      key={key}
      name={name}
      value={values[key]}
      unit={unitOfField(key)}
      set={(value) => {
        set(key, value);
      }}
      {...(width === undefined ? {} : { width })}
    />
  ));
}

/** A choice of words; the first, empty one says that it was not looked at. */
export function ChoiceField({
  name,
  value,
  options,
  set,
}: {
  name: string;
  value: string | null | undefined;
  options: readonly (readonly [string, string])[];
  set: (value: string | undefined) => void;
}) {
  return (
    <Named name={name}>
      <select
        value={value ?? ''}
        onChange={(event) => {
          set(event.target.value === '' ? undefined : event.target.value);
        }}
        className={`${BOX} text-ink`}
      >
        {options.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </select>
    </Named>
  );
}

/** A choice by touch; a second touch on the chosen word takes it back. */
export function ChipField({
  name,
  value,
  options,
  set,
}: {
  name: string;
  value: string | null | undefined;
  options: readonly (readonly [string, string])[];
  set: (value: string | undefined) => void;
}) {
  return (
    <div role="group" aria-label={name} className="flex items-center gap-2">
      <span className="w-[76px] shrink-0 text-[13px] text-muted">{name}</span>
      <span className="flex flex-wrap gap-1.5">
        {options.map(([id, words]) => (
          <button
            key={id}
            type="button"
            aria-pressed={value === id}
            onClick={() => {
              set(value === id ? undefined : id);
            }}
            className={`min-h-11 min-w-11 rounded-md border px-2.5 text-[15px] ${value === id ? 'border-ink bg-ink font-semibold text-paper' : 'border-muted/50 bg-paper'}`}
          >
            {words}
          </button>
        ))}
      </span>
    </div>
  );
}

/** Names of others in a list, as they are typed; what is no name is dropped on leaving. */
export function NamesField({
  name,
  value,
  known,
  set,
}: {
  name: string;
  value: readonly string[] | undefined;
  known: readonly string[];
  set: (value: string[] | undefined) => void;
}) {
  const written = (value ?? []).join(', ');
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <Named name={name}>
      <input
        inputMode="numeric"
        value={typed ?? written}
        onChange={(event) => {
          setTyped(event.target.value);
        }}
        onBlur={() => {
          if (typed != null) set(namesIn(typed, known));
          setTyped(null);
        }}
        className={`${BOX} w-20 text-ink`}
      />
    </Named>
  );
}
