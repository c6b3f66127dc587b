import type { Instruction } from '../api/client';
import { useSay } from '../text/say';

/** The sentences with their pictures, in the order they are carried out. */
export function Sentences({ instruction }: { instruction: Instruction }) {
  const say = useSay();
  return (
    <section aria-labelledby="sentences">
      <h2 id="sentences" className="border-b-2 border-ink pb-2 text-[20px] font-bold">
        {say('instruction.on-every-tree')}
      </h2>
      <p className="border-b border-line py-3">{instruction.always}</p>
      <ol>
        {instruction.sentences.map((one, i) => (
          <li
            key={one.form}
            className="grid grid-cols-[40px_minmax(0,1fr)_150px] items-center gap-3 border-b border-line py-2"
          >
            <b className="font-display text-[22px]">{i + 1}</b>
            <span className="text-[18px] font-semibold">{one.text}</span>
            <span aria-hidden dangerouslySetInnerHTML={{ __html: one.figure }} />
          </li>
        ))}
      </ol>
      {instruction.sentences.length === 0 && (
        <p className="py-3 text-muted">{say('instruction.no-sentence-helps')}</p>
      )}
      <p className="pt-3 text-[14px] text-muted">{say('instruction.rest-stays')}</p>
    </section>
  );
}
