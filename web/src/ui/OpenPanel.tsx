import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  /** Words of the link that opens it. */
  opener: string;
  /** Said before the link. */
  before?: string;
  title: string;
  description: ReactNode;
  /** Buttons at the foot; inside, a `Dialog.Close` leaves all as it was. */
  actions: ReactNode;
  children: ReactNode;
}

/** Settings in a panel over the page, opened by a link: a head that says what they are, a body that scrolls, a foot with what to do. */
export function OpenPanel({
  open,
  onOpenChange,
  opener,
  before,
  title,
  description,
  actions,
  children,
}: Props) {
  return (
    // not modal: the library's scroll lock writes styles into the page, which the content policy forbids
    <Dialog.Root modal={false} open={open} onOpenChange={onOpenChange}>
      <p className="-mt-1 text-[13px] text-muted">
        {before}
        <Dialog.Trigger asChild>
          <button type="button" className="font-semibold text-ink underline underline-offset-4">
            {opener}
          </button>
        </Dialog.Trigger>
      </p>
      <Dialog.Portal>
        <div className="fixed inset-0 bg-ink/40" aria-hidden />
        <Dialog.Content className="fixed top-1/2 left-1/2 flex max-h-[86vh] w-[min(560px,94vw)] -translate-x-1/2 -translate-y-1/2 flex-col bg-paper">
          <div className="border-b border-line px-6 pt-5 pb-3">
            <Dialog.Title className="text-[20px] font-bold">{title}</Dialog.Title>
            <Dialog.Description className="text-[14px] text-muted">{description}</Dialog.Description>
          </div>
          <div className="min-h-0 flex-1 overflow-auto px-6 py-3">{children}</div>
          <div className="flex justify-end gap-2 border-t border-line px-6 py-3">{actions}</div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
