import { inFarm } from './farm';
import type { Language } from '../text/language';
import { units } from '../text/units';

/** The address of a page to print, in a language and in the units shown. */
export function paper(path: string, language: Language): string {
  return `${inFarm(path)}?lang=${language}&units=${units()}`;
}
