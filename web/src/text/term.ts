import en from './en.json';
import { say, type Code } from './say';

/** What a word of the open format is called: a role, a condition, a direction, a phase; the word itself where it has no name. */
export function term(word: string): string {
  const code = `term.${word}`;
  return code in en ? say(code as Code) : word.replaceAll('-', ' ');
}
