import type { ButtonHTMLAttributes } from 'react';

type Weight = 'ink' | 'plain' | 'quiet';

const LOOK: Record<Weight, string> = {
  ink: 'bg-ink text-paper hover:opacity-90',
  plain: 'border border-muted/50 bg-paper hover:bg-sand',
  quiet: 'hover:bg-sand underline-offset-4 hover:underline',
};

/** Ink for the one thing to do, plain for its alternatives, quiet for the rest. */
export function Button({
  weight = 'plain',
  className = '',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { weight?: Weight }) {
  return (
    <button
      type="button"
      className={`min-h-9 rounded-md whitespace-nowrap px-3 py-1.5 text-[14px] font-semibold disabled:opacity-45 ${LOOK[weight]} ${className}`}
      {...rest}
    />
  );
}
