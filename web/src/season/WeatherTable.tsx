import { inFarm } from '../api/farm';
import { useSay } from '../text/say';
import { FaultList } from '../ui/FaultList';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { answer, api, type SeasonPage } from '../api/client';
import { Button } from '../ui/Button';
import { Failed } from '../ui/States';

/** Weather in and out as a table: looked at first, then taken over the station's own. */
export function WeatherTable({ page }: { page: SeasonPage }) {
  const say = useSay();
  const file = useRef<HTMLInputElement>(null);
  const [holding, setHolding] = useState(page.weather[0]?.holdingId ?? 0);
  const [table, setTable] = useState('');
  const queries = useQueryClient();
  const send = useMutation({
    mutationFn: (write: boolean) =>
      answer(
        api.POST('/api/holdings/{id}/weather', {
          params: { path: { id: holding }, query: { write } },
          body: table,
          bodySerializer: (body: string) => body,
          headers: { 'Content-Type': 'text/plain' },
        }),
      ),
    onSuccess: (outcome) => {
      if (outcome.written) void queries.invalidateQueries({ queryKey: ['season'] });
      if (outcome.written) void queries.invalidateQueries({ queryKey: ['season-day'] });
    },
  });
  const outcome = send.data;
  return (
    <details className="mt-6 border-t border-line pt-3">
      <summary className="font-semibold">{say('weather-table.weather-from-a-file')}</summary>
      <p className="mt-2 max-w-prose text-[14px] text-muted">
        {say('weather-table.the-weather-shown-comes-from')}
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <label className="flex items-center gap-2">
          {say('weather-table.holding')}
          <select
            value={holding}
            onChange={(event) => {
              setHolding(Number(event.target.value));
              send.reset();
            }}
            className="min-h-9 rounded-md border border-muted/50 bg-paper px-2"
          >
            {page.weather.map((one) => (
              <option key={one.holdingId} value={one.holdingId}>
                {one.holding}
              </option>
            ))}
          </select>
        </label>
        <input
          ref={file}
          type="file"
          accept=".csv,text/csv"
          aria-label={say('weather-table.table-of-weather')}
          className="max-w-60 text-[14px]"
          onChange={(event) => {
            void event.target.files?.[0]?.text().then((text) => {
              setTable(text);
              send.reset();
            });
          }}
        />
        <Button
          disabled={table === '' || send.isPending}
          onClick={() => {
            send.mutate(false);
          }}
        >
          {say('weather-table.look-at-it-first')}
        </Button>
        <a
          className="font-semibold underline underline-offset-4"
          href={inFarm(`/api/holdings/${holding}/weather.csv`)}
        >
          {say('weather-table.this-year-as-a-table')}
        </a>
      </div>
      {send.isError && <Failed error={send.error} />}
      {outcome && (
        <div role="status" className="mt-2 text-[14px]">
          <p>
            {say('weather-table.days-days-part-forecastdays-of', {
              days: outcome.days,
              part: outcome.from
                ? say('weather-table.from-to-to', { from: outcome.from, to: outcome.to })
                : '',
              forecastDays: outcome.forecastDays,
              part2: outcome.written ? say('weather-table.taken-in') : '',
            })}
          </p>
          {outcome.errors.length > 0 && <FaultList errors={outcome.errors} />}
          {!outcome.written && outcome.errors.length === 0 && outcome.days > 0 && (
            <Button
              weight="ink"
              className="mt-2"
              onClick={() => {
                send.mutate(true);
              }}
            >
              {say('weather-table.take-these-days')}
            </Button>
          )}
        </div>
      )}
    </details>
  );
}
