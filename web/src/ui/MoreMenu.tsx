import { Popover } from 'radix-ui';
import { useState } from 'react';
import { Link } from 'react-router';
import { SignOut } from '../people/SignOut';
import { useWho } from '../people/who';
import { useSay } from '../text/say';
import { UnitChoice } from '../text/UnitChoice';

const ITEM = 'block w-full min-h-9 px-3 py-1.5 text-left hover:bg-sand';

/** What is seldom needed: units, the list of keys, accounts, and the way out; where the bar is crowded, what has no room in it. */
export function MoreMenu({ crowded, showKeys }: { crowded: boolean; showKeys: () => void }) {
  const say = useSay();
  const who = useWho();
  const [open, setOpen] = useState(false);
  const close = () => {
    setOpen(false);
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <button
          type="button"
          className="border-b-[3px] border-transparent px-1 pt-3.5 pb-2.5 whitespace-nowrap text-muted hover:text-ink"
        >
          {say('app.more')}
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={4}
          aria-label={say('app.more')}
          className="z-20 w-60 border border-ink bg-paper py-2 text-[15px]"
        >
          {crowded && (
            <div className="2xl:hidden">
              <Link to="/plantings" className={ITEM} onClick={close}>
                {say('app.planting')}
              </Link>
              <Link to="/compare" className={ITEM} onClick={close}>
                {say('app.side-by-side')}
              </Link>
            </div>
          )}
          <div className="flex items-center justify-between gap-3 px-3 py-1.5">
            {say('units.of-measure')}
            <UnitChoice small />
          </div>
          <button
            type="button"
            className={ITEM}
            onClick={() => {
              close();
              showKeys();
            }}
          >
            {say('keys.keys')}
          </button>
          <Link to="/farms" className={ITEM} onClick={close}>
            {say('farms.title')}
          </Link>
          {who.role === 'grower' && (
            <Link to="/accounts" className={ITEM} onClick={close}>
              {say('app.accounts')}
            </Link>
          )}
          {who.state === 'signed-in' && <SignOut name={who.name} className={ITEM} onLeave={close} />}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
