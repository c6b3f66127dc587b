import type { ReactNode } from 'react';

/** The line of a step that opens it: its number, what it is, what it takes, and how it stands. */
export function StepHead({
  number,
  order,
  title,
  numbers,
  open,
  onOpen,
  stands,
  children,
}: {
  /** The number on its flag once it is taken. */
  number: number | undefined;
  order: number;
  title: string;
  numbers: string;
  open: boolean;
  onOpen: () => void;
  stands: ReactNode;
  children?: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-expanded={open}
      onClick={onOpen}
      className="flex w-full items-start gap-3 px-5 py-1.5 text-left"
    >
      <span
        className={`mt-0.5 grid h-6 min-w-8 place-items-center px-1 text-[13px] font-semibold ${
          number !== undefined ? 'bg-tape text-paper' : 'border-2 border-tape text-tape'
        }`}
      >
        {number ?? order}
      </span>
      <span className="min-w-0 flex-1">
        <span className="block leading-snug font-semibold">{title}</span>
        <span className="block text-[13px] text-muted">{numbers}</span>
        {children}
      </span>
      <span className="shrink-0 pt-0.5 text-right text-[13px]">{stands}</span>
    </button>
  );
}
