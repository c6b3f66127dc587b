import { say, useSay } from '../text/say';
import { Dialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { Button } from './Button';
import { inField, setSingleKeys, singleKeysOn } from './singleKeys';

const EVERYWHERE = (): [string, string][] => [
  ['/', say('keys.search-for-a-tree')],
  ['?', say('keys.this-list')],
];
const AT_A_TREE = (): [string, string][] => [
  ['N, P', say('keys.next-and-previous-limb')],
  ['X', say('keys.mark-the-limb-to-be')],
  ['C', say('keys.mark-a-cut-by-pointing')],
  ['H', say('keys.before-and-after-the-cuts')],
  ['L', say('keys.light')],
  ['T', say('keys.shape-wanted-at-its-age')],
  [say('keys.esc'), say('keys.let-go-of-the-limb')],
  [say('keys.ctrl-z-ctrl-shift-z'), say('keys.undo-and-redo-in-a')],
  [say('keys.arrow-keys'), say('keys.turn-the-tree-that-has')],
  [say('keys.enter-delete'), say('keys.take-or-leave-the-step')],
  [say('keys.page-down-page-up'), say('keys.next-and-previous-step')],
];

/** The list of keys, by “?” or from the menu; and “/” to search, from anywhere. */
export function Keys({ open, setOpen }: { open: boolean; setOpen: (open: boolean) => void }) {
  const say = useSay();
  const [on, setOn] = useState(singleKeysOn);
  const go = useNavigate();
  useEffect(() => {
    const keys = (event: KeyboardEvent) => {
      if (inField(event) || event.ctrlKey || event.metaKey || event.altKey || !singleKeysOn()) return;
      if (event.key === '?') setOpen(true);
      else if (event.key === '/') {
        event.preventDefault();
        const field = document.getElementById('seek');
        if (field) field.focus();
        else void go('/?seek');
      }
    };
    window.addEventListener('keydown', keys);
    return () => {
      window.removeEventListener('keydown', keys);
    };
  }, [go, setOpen]);
  const list = (title: string, keys: [string, string][]) => (
    <>
      <h3 className="mt-3 text-[15px] font-bold">{title}</h3>
      <dl className="grid grid-cols-[170px_1fr] gap-y-1 text-[14px]">
        {keys.map(([key, meaning]) => (
          <div key={key} className="contents">
            <dt>
              <kbd className="font-semibold">{key}</kbd>
            </dt>
            <dd>{meaning}</dd>
          </div>
        ))}
      </dl>
    </>
  );
  return (
    <Dialog.Root modal={false} open={open} onOpenChange={setOpen}>
      <Dialog.Portal>
        <div className="fixed inset-0 bg-ink/40" aria-hidden />
        <Dialog.Content className="fixed top-1/2 left-1/2 max-h-[86vh] w-[min(520px,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-auto bg-paper px-6 py-5">
          <Dialog.Title className="text-[20px] font-bold">{say('keys.keys')}</Dialog.Title>
          <Dialog.Description className="sr-only">{say('keys.what-single-keys-do')}</Dialog.Description>
          {list(say('keys.everywhere'), EVERYWHERE())}
          {list(say('keys.at-a-tree'), AT_A_TREE())}
          <label className="mt-4 flex items-center gap-2 text-[14px]">
            <input
              type="checkbox"
              checked={on}
              onChange={(event) => {
                setOn(event.target.checked);
                setSingleKeys(event.target.checked);
              }}
            />
            {say('keys.single-keys-are-on')}
          </label>
          <Dialog.Close asChild>
            <Button weight="ink" className="mt-4">
              {say('keys.close')}
            </Button>
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
