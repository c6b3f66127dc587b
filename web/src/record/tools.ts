import { LANGUAGES } from '../text/language';
import { say, sayIn, type Code } from '../text/say';

const TOOLS: readonly Code[] = ['tool.hand', 'tool.hand-pruner', 'tool.lopper', 'tool.saw', 'tool.tie'];

/** The tools of a visit in the reader's language, in whichever of the languages they were recorded; others as they stand. */
export function toolsRead(recorded: string): string {
  return recorded
    .split(',')
    .map((one) => one.trim())
    .map((one) => {
      const known = TOOLS.find((code) =>
        LANGUAGES.some((language) => sayIn(language, code).toLowerCase() === one.toLowerCase()),
      );
      return known ? say(known) : one;
    })
    .join(', ');
}
