import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { answer, api, type PlantingOption, type PlantingRequest } from '../api/client';
import { Problem } from '../api/problem';
import { NumberField, NumberFields } from '../plant/CountFields';
import { locale } from '../text/language';
import { useSay } from '../text/say';
import { inUnits } from '../text/units';
import { Button } from '../ui/Button';
import { Failed } from '../ui/States';
import { UndoNotice, type Done } from '../ui/Undone';
import { useSettled } from '../ui/useSettled';
import { useMayChange } from '../people/who';
import { Assumed } from './Assumed';
import { Carry } from './Carry';
import { FieldPlans, useFields } from './FieldPlans';
import { FieldShape } from './FieldShape';
import { Kept } from './Kept';
import { Lines } from './Lines';
import { Months } from './Months';
import { Moved } from './Moved';
import { OptionForm } from './OptionForm';
import { Picking } from './Picking';
import { PlantThis } from './PlantThis';
import { Rows } from './Rows';
import { keepsTheTrees } from './standing';
import { StandingTrees } from './StandingTrees';
import { FIRST, fromAddress, LEAST_OPTIONS, MOST_OPTIONS, withCopy, withOption } from './request';

const ASK_AFTER_MS = 300;
const MOST_TYPED = 4;
const KG_IN_TONNE = 1000;

/** Which trees to plant, in which system, and what it comes to: options side by side; the address holds them all. */
export function PlantingsPage() {
  const say = useSay();
  const mayChange = useMayChange();
  const [search, setSearch] = useSearchParams();
  const [request, setRequest] = useState<PlantingRequest>(() => fromAddress(search.get('p')) ?? FIRST);
  const settled = useSettled(request, ASK_AFTER_MS);
  const compared = useQuery({
    queryKey: ['plantings', settled],
    queryFn: () => answer(api.POST('/api/plantings/compare', { body: settled })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });
  const fields = useFields(settled);
  const set = (next: PlantingRequest) => {
    setRequest(next);
    setSearch({ p: JSON.stringify(next) }, { replace: true });
  };
  const [replaced, setReplaced] = useState<Done | null>(null);
  /** Puts another comparison in the place of this one, with the way back. */
  const replace = (next: PlantingRequest, words: string) => {
    const before = request;
    set(next);
    setReplaced({
      words,
      undo: () => {
        set(before);
        return Promise.resolve();
      },
    });
  };
  const take = (next: PlantingRequest, name: string) => {
    replace(next, say('plantings.opened', { name }));
  };
  const options = request.options ?? [];
  const results = compared.data?.options ?? [];
  const problem = compared.error instanceof Problem ? compared.error : null;
  const site = request.site ?? {};
  return (
    <div className="mx-auto grid max-w-[1240px] grid-cols-[340px_minmax(0,1fr)] gap-8 px-6 py-6 max-lg:grid-cols-1 max-sm:px-4">
      <div>
        <h1 className="text-[26px] font-bold">{say('plantings.title')}</h1>
        <p className="text-[14px] text-muted">{say('plantings.what-it-does')}</p>
        <p className="mt-1 text-[14px]">
          <Link to="/plantings/household" className="font-semibold underline underline-offset-4">
            {say('household.title')}
          </Link>
        </p>
        <UndoNotice
          done={replaced}
          dismiss={() => {
            setReplaced(null);
          }}
        />
        <div className="mt-3 flex flex-wrap gap-2">
          <NumberFields
            width="w-16"
            fields={[
              ['latitude_deg', say('plantings.latitude')],
              ...(site.outline_m ? [] : ([['area_ha', say('plantings.area')]] as const)),
              ['headland_m', say('plantings.headland')],
            ]}
            values={site}
            set={(key, value) => {
              set({ ...request, site: { ...site, [key]: value } });
            }}
          />
          <NumberField
            name={say('plantings.years')}
            width="w-16"
            value={request.horizon_y}
            set={(horizon_y) => {
              set({ ...request, horizon_y });
            }}
          />
          <NumberField
            name={say('plantings.interest-percent')}
            width="w-16"
            value={request.interest == null ? undefined : Math.round(1000 * request.interest) / 10}
            set={(rate) => {
              set({ ...request, interest: rate == null ? undefined : rate / 100 });
            }}
          />
          <NumberField
            name={say('plantings.wage-an-hour')}
            width="w-16"
            value={request.wage_perHour}
            set={(wage_perHour) => {
              set({ ...request, wage_perHour });
            }}
          />
          <label className="flex flex-col gap-0.5 text-[13px] text-muted">
            {say('plantings.currency')}
            <input
              value={request.currency ?? ''}
              maxLength={MOST_TYPED}
              onChange={(event) => {
                set({ ...request, currency: event.target.value });
              }}
              className="min-h-10 w-16 rounded-md border border-muted/50 bg-paper px-2 text-[15px] text-ink"
            />
          </label>
        </div>
        <FieldShape
          site={site}
          set={(next) => {
            set({ ...request, site: next });
          }}
          clear={(next) => {
            replace({ ...request, site: next }, say('field-shape.cleared'));
          }}
        />
        <StandingTrees request={request} set={set} replace={replace} />
        {options.map((option, i) => (
          <OptionForm
            key={option.name ?? i}
            option={option}
            standing={request.standing}
            set={(part) => {
              set(withOption(request, i, part));
            }}
            copy={
              options.length < MOST_OPTIONS
                ? () => {
                    set(withCopy(request, i));
                  }
                : undefined
            }
            drop={
              options.length > LEAST_OPTIONS
                ? () => {
                    set({ ...request, options: options.filter((_, at) => at !== i) });
                  }
                : undefined
            }
          />
        ))}
        <div className="mt-4">
          <Button
            weight="quiet"
            onClick={() => {
              replace(FIRST, say('plantings.started-over'));
            }}
          >
            {say('plantings.start-over')}
          </Button>
        </div>
        <Carry request={request} results={results} take={take} />
        <Kept request={request} take={take} />
      </div>
      <div className="min-w-0" aria-busy={compared.isFetching}>
        {compared.isPending && (
          <p role="status" className="text-muted">
            {say('plantings.growing')}
          </p>
        )}
        {problem && problem.errors.length > 0 ? (
          <ul role="alert" className="border-l-4 border-lichen bg-lichen-wash px-3 py-2 text-[14px]">
            {problem.errors.map((one) => (
              <li key={one.field + one.message}>
                <b>{one.field}</b> {one.message}
              </li>
            ))}
          </ul>
        ) : (
          compared.isError && <Failed error={compared.error} retry={() => void compared.refetch()} />
        )}
        {results.length > 0 && (
          <>
            <div className="grid grid-cols-2 gap-6 max-xl:grid-cols-1">
              <Lines
                title={say('plantings.money-so-far', { currency: compared.data?.currency ?? '' })}
                lines={results.map((one) => ({
                  name: one.name,
                  values: one.years.map((year) => inUnits(year.cumulative, 'perHa')),
                }))}
              />
              <Lines
                title={say('plantings.tonnes')}
                lines={results.map((one) => ({
                  name: one.name,
                  values: one.years.map((year) => inUnits(year.yield_kgPerHa / KG_IN_TONNE, 'tha')),
                }))}
              />
            </div>
            <Figures results={results} />
            {compared.data && <Picking compared={compared.data} />}
            <FieldPlans request={settled} fields={fields} />
            <Rows request={settled} />
            <div className="mt-6 grid grid-cols-2 gap-6 max-xl:grid-cols-1">
              {results.map((one, i) => (
                <div key={one.name}>
                  <Moved option={one} />
                  <Months option={one} />
                  {mayChange && options[i] && !keepsTheTrees(options[i]) && (
                    <PlantThis
                      key={`${one.name} ${one.treesPerHa} ${fields.data?.[i]?.trees ?? ''}`}
                      option={options[i]}
                      result={one}
                      field={fields.data?.[i]}
                    />
                  )}
                </div>
              ))}
            </div>
            {results.map((one, i) => {
              const option = options[i];
              return (
                option && (
                  <Assumed
                    key={one.name}
                    result={one}
                    option={option}
                    set={(part) => {
                      set(withOption(request, i, part));
                    }}
                  />
                )
              );
            })}
          </>
        )}
      </div>
    </div>
  );
}

/** The figures of all options, an option a column. */
function Figures({ results }: { results: PlantingOption[] }) {
  const say = useSay();
  const perArea = (value: number) => Math.round(inUnits(value, 'perHa')).toLocaleString(locale());
  const best = Math.max(...results.map((one) => one.npv));
  const full = (one: PlantingOption) => one.years.at(-1);
  const rows: [string, (one: PlantingOption) => string][] = [
    [say('plantings.trees-a-ha'), (one) => perArea(one.treesPerHa)],
    [say('plantings.capital'), (one) => perArea(one.capital.total)],
    [
      say('plantings.first-crop'),
      (one) => `${one.years.find((year) => year.yield_kgPerHa > 0)?.year ?? '–'}`,
    ],
    [say('plantings.hours-last'), (one) => perArea(hoursOf(full(one)))],
    [say('plantings.paid-back'), (one) => `${one.paybackYear ?? '–'}`],
    [say('plantings.value'), (one) => perArea(one.npv)],
    [
      say('plantings.in-eight-of-ten'),
      (one) => say('instruction.range', { low: perArea(one.ranges.p10), high: perArea(one.ranges.p90) }),
    ],
    [say('plantings.return'), (one) => (one.irr == null ? '–' : rate(one.irr))],
    [
      say('plantings.break-even'),
      (one) =>
        one.breakEvenPrice_perKg == null ? '–' : twoDigits(inUnits(one.breakEvenPrice_perKg, 'perKg')),
    ],
    [say('plantings.to-win'), (one) => (one.toWin.length === 0 ? '–' : toWin(one))],
  ];
  function toWin(one: PlantingOption) {
    return one.toWin
      .map((need) =>
        need.what === 'price'
          ? say('plantings.win-price', { price: twoDigits(inUnits(need.value, 'perKg')) })
          : need.what === 'yield'
            ? say('plantings.win-yield', { factor: twoDigits(need.value) })
            : say('plantings.win-capital', { capital: perArea(need.value) }),
      )
      .join('; ');
  }
  return (
    <div className="mt-4 overflow-x-auto">
      <table className="w-full text-[14.5px]">
        <caption className="text-left text-[13px] text-muted">{say('plantings.a-hectare')}</caption>
        <thead>
          <tr className="border-b-2 border-ink">
            <td />
            {results.map((one) => (
              <th key={one.name} className="px-2 text-right font-display text-[18px]">
                {one.npv === best ? '★ ' : ''}
                {one.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, tell]) => (
            <tr key={name} className="border-b border-line align-top">
              <th className="w-[170px] max-sm:w-[92px] py-1 pr-2 text-left font-normal text-muted">{name}</th>
              {results.map((one) => (
                <td key={one.name} className="px-2 py-1 text-right font-semibold">
                  {tell(one)}
                </td>
              ))}
            </tr>
          ))}
          <tr className="align-top">
            <th className="w-[170px] max-sm:w-[92px] py-1 pr-2 text-left font-normal text-muted">
              {say('plantings.risks')}
            </th>
            {results.map((one) => (
              <td key={one.name} className="px-2 py-1 text-[13.5px]">
                <p>{one.boxFit.why}</p>
                <ul className="list-disc pl-4">
                  {one.risks.map((risk) => (
                    <li key={risk.code}>{risk.text}</li>
                  ))}
                </ul>
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </div>
  );
}

/** A price or a factor with two figures behind the point. */
function twoDigits(value: number): string {
  return value.toLocaleString(locale(), { minimumFractionDigits: 2, maximumFractionDigits: 2 });
}

/** A rate in percent with one figure behind the point. */
function rate(share: number): string {
  return (Math.round(1000 * share) / 1000 || 0).toLocaleString(locale(), {
    style: 'percent',
    minimumFractionDigits: 1,
    maximumFractionDigits: 1,
  });
}

function hoursOf(year: PlantingOption['years'][number] | undefined): number {
  return year ? year.hours.ground + year.hours.ladder + year.hours.platform : 0;
}
