import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';

/** Before a minute's drill, and after it: what it is or how it went, and on to the next round or back. */
export function RoundStart({
  title,
  words,
  over,
  begin,
  children,
}: {
  title: string;
  words: string;
  over: boolean;
  begin: () => void;
  children?: ReactNode;
}) {
  const say = useSay();
  return (
    <div className="mx-auto max-w-[720px] px-6 py-10 max-sm:px-4">
      <h1 className="text-[26px] font-bold">{title}</h1>
      <p className="pt-1 text-[17px]">{words}</p>
      <span className="mt-4 flex gap-2">
        <Button weight="ink" className="min-h-12 text-[16px]" onClick={begin}>
          {over ? say('drill.again') : say('drill.start')}
        </Button>
        <Link
          to="/practice"
          className="grid min-h-12 place-items-center rounded-md border border-muted/50 px-3 font-semibold hover:bg-sand"
        >
          {say('drill.back')}
        </Link>
      </span>
      {children}
    </div>
  );
}
