import { useQuery } from '@tanstack/react-query';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { answer, api, type Decisions } from '../api/client';
import { Button } from '../ui/Button';
import { LINE_WORDS } from '../ui/words';

/** Every line of the chosen school, to be set otherwise for this tree; what was changed is said and can be put back. */
export function SchoolLines({
  decisions,
  onChange,
}: {
  decisions: Decisions;
  onChange: (next: Decisions) => void;
}) {
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState<Record<string, string>>({});
  const guide = useQuery({
    queryKey: ['guide'],
    queryFn: () => answer(api.GET('/api/guide')),
    staleTime: Infinity,
    enabled: open,
  });
  const school = guide.data?.schools.find((one) => one.id === (decisions.school ?? 'classic'));
  const changed = decisions.schoolLines ?? {};
  const count = Object.keys(changed).length;
  const use = () => {
    const lines: Record<string, number> = {};
    for (const [line, usual] of Object.entries(school?.lines ?? {})) {
      const own = Number((typed[line] ?? String(changed[line] ?? usual)).replace(',', '.'));
      if (Number.isFinite(own) && own !== usual) lines[line] = own;
    }
    onChange({ ...decisions, schoolLines: lines });
    setOpen(false);
  };
  return (
    // not modal: the library's scroll lock writes styles into the page, which the content policy forbids
    <Dialog.Root
      modal={false}
      open={open}
      onOpenChange={(next) => {
        setTyped({});
        setOpen(next);
      }}
    >
      <p className="-mt-1 text-[13px] text-muted">
        {count > 0 ? `${count} ${count === 1 ? 'line' : 'lines'} of the school set otherwise here. ` : ''}
        <Dialog.Trigger asChild>
          <button type="button" className="font-semibold text-ink underline underline-offset-4">
            Change its lines
          </button>
        </Dialog.Trigger>
      </p>
      <Dialog.Portal>
        <div className="fixed inset-0 bg-ink/40" aria-hidden />
        <Dialog.Content className="fixed top-1/2 left-1/2 flex max-h-[86vh] w-[min(560px,94vw)] -translate-x-1/2 -translate-y-1/2 flex-col bg-paper">
          <div className="border-b border-line px-6 pt-5 pb-3">
            <Dialog.Title className="text-[20px] font-bold">
              {school?.name ?? 'The school'}, line by line
            </Dialog.Title>
            <Dialog.Description className="text-[14px] text-muted">
              {school?.why} What you set here holds for this tree; each finding says by which line it was
              judged.
            </Dialog.Description>
          </div>
          <div className="min-h-0 flex-1 overflow-auto px-6 py-3">
            {guide.isPending && <p className="text-muted">Opening the school…</p>}
            {Object.entries(school?.lines ?? {}).map(([line, usual]) => {
              const value = typed[line] ?? String(changed[line] ?? usual);
              const other = Number(value.replace(',', '.')) !== usual;
              return (
                <label
                  key={line}
                  className="flex items-center justify-between gap-4 border-b border-line py-1 text-[14px]"
                >
                  <span className={other ? 'font-semibold' : ''}>
                    {LINE_WORDS[line] ?? line}
                    {other && <span className="font-normal text-muted"> (school: {usual})</span>}
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
                    <input
                      inputMode="decimal"
                      value={value}
                      onChange={(event) => {
                        setTyped({ ...typed, [line]: event.target.value });
                      }}
                      className="min-h-8 w-20 rounded-sm border border-muted/45 bg-paper px-2 text-right"
                    />
                  )}
                </label>
              );
            })}
          </div>
          <div className="flex justify-end gap-2 border-t border-line px-6 py-3">
            <Button
              disabled={count === 0}
              onClick={() => {
                onChange({ ...decisions, schoolLines: {} });
                setOpen(false);
              }}
            >
              Put all back
            </Button>
            <Dialog.Close asChild>
              <Button>Leave</Button>
            </Dialog.Close>
            <Button weight="ink" onClick={use}>
              Judge by these
            </Button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
