import { LANGUAGE_NAMES, LANGUAGES, locale } from '../text/language';
import { useSay } from '../text/say';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type CrewLine } from '../api/client';
import { Problem } from '../api/problem';
import { Button } from '../ui/Button';

interface Entry {
  name: string;
  language: string;
  hoursADay: number;
  saw: boolean;
  ladder: boolean;
  weekdays: string;
  active: boolean;
}

const NOBODY: Entry = {
  name: '',
  language: 'en',
  hoursADay: 7,
  saw: false,
  ladder: true,
  weekdays: '12345',
  active: true,
};

/** The people there are: each line is changed in place. */
export function CrewTable({ crew }: { crew: CrewLine[] }) {
  const say = useSay();
  return (
    <section aria-labelledby="crew" className="mt-8">
      <h2 id="crew" className="border-b-2 border-ink pb-1.5 text-[20px] font-bold">
        {say('crew-table.the-crew')}
      </h2>
      <ul>
        {crew.map((one) => (
          <PersonRow key={`${one.id}-${one.version}`} person={one} />
        ))}
        <PersonRow key={`new-${crew.length}`} person={null} />
      </ul>
    </section>
  );
}

const WEEK = ['1', '2', '3', '4', '5', '6', '7'];
const MONDAY = Date.UTC(2026, 0, 5);

/** The days of the week somebody works; letters in the reader's language, Monday first. */
function WeekdayPicker({ label, days, set }: { label: string; days: string; set: (days: string) => void }) {
  const say = useSay();
  return (
    <span
      role="group"
      aria-label={say('crew-table.working-days-of-label', { label })}
      className="flex gap-0.5"
    >
      {WEEK.map((day) => {
        const date = new Date(MONDAY + (Number(day) - 1) * 86_400_000);
        const on = days.includes(day);
        return (
          <button
            key={day}
            type="button"
            aria-pressed={on}
            aria-label={date.toLocaleDateString(locale(), { weekday: 'long', timeZone: 'UTC' })}
            onClick={() => {
              set(WEEK.filter((one) => (one === day ? !on : days.includes(one))).join(''));
            }}
            className={`h-9 w-7 rounded-sm text-[13px] ${on ? 'bg-ink font-semibold text-paper' : 'border border-line text-muted'}`}
          >
            {date.toLocaleDateString(locale(), { weekday: 'narrow', timeZone: 'UTC' })}
          </button>
        );
      })}
    </span>
  );
}

function PersonRow({ person }: { person: CrewLine | null }) {
  const say = useSay();
  const [entry, setEntry] = useState<Entry>(person ?? NOBODY);
  const queries = useQueryClient();
  const save = useMutation({
    mutationFn: () =>
      person
        ? answer(
            api.PUT('/api/crew/{id}', {
              params: { path: { id: person.id } },
              body: { ...entry, version: person.version },
            }),
          )
        : answer(api.POST('/api/crew', { body: entry })),
    onSuccess: () => void queries.invalidateQueries({ queryKey: ['crew'] }),
  });
  const changed = person
    ? (Object.keys(NOBODY) as (keyof Entry)[]).some((key) => person[key] !== entry[key])
    : entry.name.trim() !== '';
  const wrong = save.error instanceof Problem ? save.error : null;
  const set = (part: Partial<Entry>) => {
    setEntry({ ...entry, ...part });
  };
  const label = person?.name ?? say('crew-table.somebody-new');
  const tick = (key: 'saw' | 'ladder' | 'active', words: string) => (
    <label className="flex min-h-9 items-center gap-1.5 text-[14px]">
      <input
        type="checkbox"
        checked={entry[key]}
        onChange={(event) => {
          set({ [key]: event.target.checked });
        }}
      />
      {words}
    </label>
  );
  return (
    <li className={`border-b border-line py-1.5 ${person && !person.active ? 'opacity-60' : ''}`}>
      <form
        className="flex flex-wrap items-center gap-x-4 gap-y-1"
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate();
        }}
      >
        <input
          aria-label={say('crew-table.name-of-label', { label })}
          placeholder={say('crew-table.somebody-new-2')}
          value={entry.name}
          onChange={(event) => {
            set({ name: event.target.value });
          }}
          className="min-h-9 w-44 rounded-md border border-muted/50 bg-paper px-2"
        />
        <label className="flex items-center gap-1.5 text-[14px]">
          <input
            aria-label={say('crew-table.hours-a-day-of-label', { label })}
            type="number"
            min={0.5}
            max={14}
            step={0.5}
            value={entry.hoursADay}
            onChange={(event) => {
              set({ hoursADay: Number(event.target.value) });
            }}
            className="min-h-9 w-16 rounded-md border border-muted/50 bg-paper px-2"
          />
          {say('crew-table.hours-a-day')}
        </label>
        <select
          aria-label={say('crew-table.language-of-label', { label })}
          value={entry.language}
          onChange={(event) => {
            set({ language: event.target.value });
          }}
          className="min-h-9 rounded-md border border-muted/50 bg-paper px-2"
        >
          {LANGUAGES.map((language) => (
            <option key={language} value={language}>
              {LANGUAGE_NAMES[language]}
            </option>
          ))}
        </select>
        <WeekdayPicker
          label={label}
          days={entry.weekdays}
          set={(weekdays) => {
            set({ weekdays });
          }}
        />
        {tick('saw', say('crew-table.trained-on-saws'))}
        {tick('ladder', say('crew-table.goes-up-ladders'))}
        {person && tick('active', say('crew-table.works-here'))}
        {changed && (
          <Button type="submit" weight="ink" disabled={save.isPending}>
            {person ? say('crew-table.save') : say('crew-table.add')}
          </Button>
        )}
        {wrong && (
          <span role="alert" className="text-[14px] text-lichen">
            {wrong.errors.map((one) => one.message).join(' ') || wrong.message}
          </span>
        )}
      </form>
    </li>
  );
}
