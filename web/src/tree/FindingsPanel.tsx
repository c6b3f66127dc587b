import { term } from '../text/term';
import { say, useSay } from '../text/say';
import { useRuleNames } from '../guide/useRules';
import { Link } from 'react-router';
import type { EarlyWarning, Finding, Measure } from '../api/client';
import { percent, SEVERITY_WORDS, STAGE_WORDS } from '../ui/words';

interface Props {
  found: Finding[];
  /** Mistakes of the first years, told while they are easily mended. */
  early: EarlyWarning[];
  /** What is still wrong after the marks. */
  left: Finding[] | undefined;
  /** What to measure again to settle what is doubtful. */
  measureNext: Measure[] | undefined;
  onPoint: (limbs: string[]) => void;
  onSelect: (limb: string) => void;
}

const nameOf = (finding: Finding) => `${finding.rule}@${finding.limbs[0] ?? ''}`;

function look(severity: string): string {
  return severity === 'act'
    ? 'bg-ink text-paper'
    : severity === 'consider'
      ? 'bg-lichen-wash text-lichen'
      : 'border border-line text-muted';
}

function figures(finding: Finding): string {
  const number = (value: number) =>
    finding.unit === '' && finding.value <= 1.5 && finding.rule === 'shade'
      ? percent(value)
      : String(Math.round(value * 100) / 100);
  const unit = finding.unit === '' ? '' : finding.unit === '°' ? '°' : ` ${finding.unit}`;
  return finding.threshold === 0
    ? finding.measure
    : say('findings-panel.measure-number-unit-line-at', {
        measure: finding.measure,
        number: number(finding.value),
        unit,
        threshold: number(finding.threshold),
      });
}

/** Everything that is wrong with the tree, in the order of the work, and what the marks have already answered. */
export function FindingsPanel({ found, early, left, measureNext, onPoint, onSelect }: Props) {
  const say = useSay();
  const ruleName = useRuleNames();
  if (found.length === 0 && early.length === 0) {
    return <p className="p-5">{say('findings-panel.nothing-is-wrong-with-this')}</p>;
  }
  const still = left ? new Set(left.map(nameOf)) : null;
  const stages = [...new Set(found.map((finding) => finding.stage))];
  return (
    <div className="pb-4">
      <Early warnings={early} onPoint={onPoint} />
      {measureNext && measureNext.length > 0 && (
        <section
          className="border-b border-line bg-sand px-5 py-2.5 text-[14px]"
          aria-label={say('findings-panel.measure-next')}
        >
          <h3 className="text-[13.5px] font-semibold">{say('findings-panel.measure-next-if-you-doubt')}</h3>
          <ul>
            {measureNext.map((one) => (
              <li key={one.limb + one.what}>
                <button
                  type="button"
                  className="text-left underline-offset-4 hover:underline"
                  onClick={() => {
                    onSelect(one.limb);
                  }}
                >
                  <b>
                    {say('findings-panel.what-of-part', {
                      what: one.what,
                      part:
                        one.limb === 'trunk'
                          ? say('findings-panel.the-trunk')
                          : say('findings-panel.limb-limb', { limb: one.limb }),
                    })}
                  </b>{' '}
                  <span className="text-muted">{one.why}</span>
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      {stages.map((stage) => (
        <section key={stage} aria-label={STAGE_WORDS[stage] ?? stage}>
          <h3 className="px-5 pt-4 pb-1 text-[13.5px] font-semibold text-muted">
            {STAGE_WORDS[stage] ?? stage}
          </h3>
          <ul>
            {found
              .filter((finding) => finding.stage === stage)
              .map((finding) => {
                const answered = still !== null && !still.has(nameOf(finding));
                return (
                  <li key={nameOf(finding)} className="border-b border-line">
                    <button
                      type="button"
                      className="w-full px-5 py-2 text-left hover:bg-sand"
                      onMouseEnter={() => {
                        onPoint(finding.limbs);
                      }}
                      onMouseLeave={() => {
                        onPoint([]);
                      }}
                      onFocus={() => {
                        onPoint(finding.limbs);
                      }}
                      onBlur={() => {
                        onPoint([]);
                      }}
                      onClick={() => {
                        const limb = finding.limbs[0]?.split('/')[0];
                        if (limb) onSelect(limb);
                      }}
                    >
                      <span className="flex items-baseline justify-between gap-3">
                        <b className={answered ? 'text-muted line-through' : ''}>{ruleName(finding.rule)}</b>
                        <span
                          className={`px-1.5 text-[12.5px] ${answered ? 'text-moss' : look(finding.severity)}`}
                        >
                          {answered ? term('answered') : SEVERITY_WORDS[finding.severity]}
                        </span>
                      </span>
                      <span className="block text-[14px]">{finding.reason}</span>
                      <span className="block text-[13px] text-muted">
                        {say('findings-panel.figures-confidence-sure', {
                          figures: figures(finding),
                          confidence: Math.round(finding.confidence * 100),
                        })}
                      </span>
                    </button>
                    <p className="-mt-1 px-5 pb-1.5 text-[12.5px] text-muted">
                      {finding.by.text}{' '}
                      <Link
                        to={`/guide?rule=${finding.rule}`}
                        className="font-semibold text-ink underline underline-offset-4"
                      >
                        {say('findings-panel.why-this-matters')}
                      </Link>
                    </p>
                  </li>
                );
              })}
          </ul>
        </section>
      ))}
    </div>
  );
}

function Early({ warnings, onPoint }: { warnings: EarlyWarning[]; onPoint: (limbs: string[]) => void }) {
  const say = useSay();
  if (warnings.length === 0) return null;
  return (
    <section
      className="border-b border-line bg-lichen-wash px-5 py-2.5 text-[14px]"
      aria-label={say('findings-panel.put-right-now')}
    >
      <h3 className="text-[13.5px] font-semibold">{say('findings-panel.put-right-while-the-tree')}</h3>
      <ul>
        {warnings.map((one) => (
          <li
            key={one.mistake}
            className="py-0.5"
            onMouseEnter={() => {
              onPoint(one.limbs);
            }}
            onMouseLeave={() => {
              onPoint([]);
            }}
          >
            {one.text}
          </li>
        ))}
      </ul>
    </section>
  );
}
