import { ATTITUDES, SHOOT_CLASSES, type LimbRow } from './form';

const CLASS_WORDS: Record<string, string> = {
  matchstick: 'matchstick thin',
  pencil: 'pencil thick',
  strong: 'strong',
};

/** Counts of one limb's small wood; what is left empty is estimated. */
export function SmallWood({ limb, change }: { limb: LimbRow; change: (next: Partial<LimbRow>) => void }) {
  const box = 'min-h-8 w-14 rounded-sm border border-muted/40 bg-paper px-1';
  return (
    <div className="flex flex-wrap items-start gap-x-8 gap-y-3">
      <table className="text-[13.5px]">
        <caption className="pb-1 text-left text-[13px] text-muted">
          One-year shoots on limb {limb.id}, counted by way they point. Empty: estimated.
        </caption>
        <thead>
          <tr className="text-left text-muted">
            <th className="pr-2 font-normal">
              <span className="sr-only">Class</span>
            </th>
            {ATTITUDES.map((attitude) => (
              <th key={attitude} className="pr-1 font-normal">
                {attitude}
              </th>
            ))}
            <th className="font-normal">usual cm</th>
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
                      aria-label={`${CLASS_WORDS[shootClass] ?? shootClass} shoots pointing ${attitude}`}
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
                  aria-label={`Usual length of ${CLASS_WORDS[shootClass] ?? shootClass} shoots, centimetres`}
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
            ['spurs', 'Spurs', 'numeric'],
            ['spurAge', 'their age, y', 'decimal'],
            ['flowerBuds', 'Flower buds', 'numeric'],
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
          Counted is
          <select
            value={limb.counted === 'own' ? '' : limb.counted}
            onChange={(event) => {
              change({ counted: event.target.value });
            }}
            className="mt-0.5 block min-h-8 rounded-sm border border-muted/40 bg-paper px-1 text-[14px] text-ink"
          >
            <option value="">what stands on the limb itself</option>
            <option value="all">everything on it</option>
          </select>
        </label>
        <label>
          Tip angle, °
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
          Disease, if any
          <input
            value={limb.disease}
            onChange={(event) => {
              change({ disease: event.target.value });
            }}
            className="mt-0.5 block min-h-8 w-32 rounded-sm border border-muted/40 bg-paper px-1 text-[14px] text-ink"
          />
        </label>
        <label className="grow">
          Note
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
