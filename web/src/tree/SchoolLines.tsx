import { MeasureInput } from '../ui/MeasureInput';
import { unitOfField } from '../text/units';
import { useSay } from '../text/say';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import type { Decisions } from '../api/client';
import { useGuide } from '../guide/useGuide';
import { Button } from '../ui/Button';
import { showNumber, typedNumber } from '../ui/numbers';
import { OpenPanel } from '../ui/OpenPanel';
import { LINE_WORDS } from '../ui/words';

/** Every line of the chosen school, to be set otherwise for this tree; what was changed is said and can be put back. */
export function SchoolLines({
  decisions,
  onChange,
}: {
  decisions: Decisions;
  onChange: (next: Decisions) => void;
}) {
  const say = useSay();
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState<Record<string, string>>({});
  const guide = useGuide(open);
  const school = guide.data?.schools.find((one) => one.id === (decisions.school ?? 'classic'));
  const changed = decisions.schoolLines ?? {};
  const count = Object.keys(changed).length;
  const use = () => {
    const lines: Record<string, number> = {};
    for (const [line, usual] of Object.entries(school?.lines ?? {})) {
      const own = typedNumber(typed[line] ?? showNumber(changed[line] ?? usual));
      if (Number.isFinite(own) && own !== usual) lines[line] = own;
    }
    onChange({ ...decisions, schoolLines: lines });
    setOpen(false);
  };
  return (
    <OpenPanel
      open={open}
      onOpenChange={(next) => {
        setTyped({});
        setOpen(next);
      }}
      opener={say('school-lines.change-its-lines')}
      before={count > 0 ? say('school-lines.count-lines-of-the-school', { count }) : ''}
      title={say('school-lines.name-line-by-line', { name: school?.name ?? say('school-lines.the-school') })}
      description={say('school-lines.why-what-you-set-here', { why: school?.why ?? '' })}
      actions={
        <>
          <Button
            disabled={count === 0}
            onClick={() => {
              onChange({ ...decisions, schoolLines: {} });
              setOpen(false);
            }}
          >
            {say('school-lines.put-all-back')}
          </Button>
          <Dialog.Close asChild>
            <Button>{say('school-lines.leave')}</Button>
          </Dialog.Close>
          <Button weight="ink" onClick={use}>
            {say('school-lines.judge-by-these')}
          </Button>
        </>
      }
    >
      {guide.isPending && <p className="text-muted">{say('school-lines.opening-the-school')}</p>}
      {Object.entries(school?.lines ?? {}).map(([line, usual]) => {
        const value = typed[line] ?? String(changed[line] ?? usual);
        const other = typedNumber(value) !== usual;
        return (
          <label
            key={line}
            className="flex items-center justify-between gap-4 border-b border-line py-1 text-[14px]"
          >
            <span className={other ? 'font-semibold' : ''}>
              {LINE_WORDS[line] ?? line}
              {other && (
                <span className="ml-1 font-normal text-muted">
                  {say('school-lines.school-usual', { usual })}
                </span>
              )}
            </span>
            {school?.switches.includes(line) ? (
              <input
                type="checkbox"
                className="h-5 w-5"
                checked={value === '1'}
                onChange={(event) => {
                  setTyped({ ...typed, [line]: event.target.checked ? '1' : '0' });
                }}
              />
            ) : (
              <MeasureInput
                inputMode="decimal"
                value={value}
                unit={unitOfField(line)}
                change={(own) => {
                  setTyped({ ...typed, [line]: own });
                }}
                className="min-h-8 w-20 rounded-sm border border-muted/45 bg-paper px-2 text-right"
              />
            )}
          </label>
        );
      })}
    </OpenPanel>
  );
}
