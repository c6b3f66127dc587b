import { term } from '../text/term';
import { say, useSay } from '../text/say';
import { ATTITUDES, SHOOT_CLASSES, type LimbRow } from './form';

const CLASS_WORDS: Record<string, string> = {
  get matchstick() {
    return say('small-wood.matchstick-thin');
  },
  get pencil() {
    return say('small-wood.pencil-thick');
  },
  get strong() {
    return term('strong');
  },
};

/** Counts of one limb's small wood; what is left empty is estimated. */
export function SmallWood({ limb, change }: { limb: LimbRow; change: (next: Partial<LimbRow>) => void }) {
  const say = useSay();
  const box = 'min-h-8 w-14 rounded-sm border border-muted/40 bg-paper px-1';
  return (
    <div className="flex flex-wrap items-start gap-x-8 gap-y-3">
      <table className="text-[13.5px]">
        <caption className="pb-1 text-left text-[13px] text-muted">
          {say('small-wood.one-year-shoots-on-limb', { id: limb.id })}
        </caption>
        <thead>
          <tr className="text-left text-muted">
            <th className="pr-2 font-normal">
              <span className="sr-only">{say('small-wood.class')}</span>
            </th>
            {ATTITUDES.map((attitude) => (
              <th key={attitude} className="pr-1 font-normal">
                {term(attitude)}
              </th>
            ))}
            <th className="font-normal">{say('small-wood.usual-cm')}</th>
          </tr>
        </thead>
        <tbody>
          {SHOOT_CLASSES.map((shootClass) => (
            <tr key={shootClass}>
              <th className="pr-2 text-left font-normal">{CLASS_WORDS[shootClass]}</th>
              {ATTITUDES.map((attitude) => {
                const cell = `${shootClass}/${attitude}`;
                return (
                  <td key={attitude} className="pr-1 pb-1">
                    <input
                      aria-label={say('small-wood.classwords-shoots-pointing-attitude', {
                        CLASSWORDS: CLASS_WORDS[shootClass] ?? shootClass,
                        attitude: term(attitude),
                      })}
                      inputMode="numeric"
                      value={limb.shoots[cell] ?? ''}
                      onChange={(event) => {
                        change({ shoots: { ...limb.shoots, [cell]: event.target.value } });
                      }}
                      className={box}
                    />
                  </td>
                );
              })}
              <td className="pb-1">
                <input
                  aria-label={say('small-wood.usual-length-of-classwords-shoots', {
                    CLASSWORDS: CLASS_WORDS[shootClass] ?? shootClass,
                  })}
                  inputMode="decimal"
                  value={limb.lengths[shootClass] ?? ''}
                  onChange={(event) => {
                    change({ lengths: { ...limb.lengths, [shootClass]: event.target.value } });
                  }}
                  className={box}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="flex flex-wrap gap-4 text-[13px] text-muted">
        {(
          [
            ['spurs', say('small-wood.spurs'), 'numeric'],
            ['spurAge', say('small-wood.their-age-y'), 'decimal'],
            ['flowerBuds', say('small-wood.flower-buds'), 'numeric'],
          ] as const
        ).map(([field, name, mode]) => (
          <label key={field}>
            {name}
            <input
              inputMode={mode}
              value={limb[field]}
              onChange={(event) => {
                change({ [field]: event.target.value });
              }}
              className={`mt-0.5 block text-[14px] text-ink ${box}`}
            />
          </label>
        ))}
        <label>
          {say('small-wood.counted-is')}
          <select
            value={limb.counted === 'own' ? '' : limb.counted}
            onChange={(event) => {
              change({ counted: event.target.value });
            }}
            className="mt-0.5 block min-h-8 rounded-sm border border-muted/40 bg-paper px-1 text-[14px] text-ink"
          >
            <option value="">{say('small-wood.what-stands-on-the-limb')}</option>
            <option value="all">{say('small-wood.everything-on-it')}</option>
          </select>
        </label>
        <label>
          {say('small-wood.tip-angle')}
          <input
            inputMode="decimal"
            value={limb.tipAngle_deg}
            onChange={(event) => {
              change({ tipAngle_deg: event.target.value });
            }}
            className={`mt-0.5 block text-[14px] text-ink ${box}`}
          />
        </label>
        <label>
          {say('small-wood.disease-if-any')}
          <input
            value={limb.disease}
            onChange={(event) => {
              change({ disease: event.target.value });
            }}
            className="mt-0.5 block min-h-8 w-32 rounded-sm border border-muted/40 bg-paper px-1 text-[14px] text-ink"
          />
        </label>
        <label className="grow">
          {say('small-wood.note')}
          <input
            value={limb.note}
            onChange={(event) => {
              change({ note: event.target.value });
            }}
            className="mt-0.5 block min-h-8 w-56 rounded-sm border border-muted/40 bg-paper px-1 text-[14px] text-ink"
          />
        </label>
      </div>
    </div>
  );
}
