import en from './en.json';
import { say, type Code } from './say';

/** What a word of the open format is called: a role, a condition, a direction, a phase; the word itself where it has no name. */
export function term(word: string): string {
  return named('term', word);
}

/** What a word of one family of texts is called; the word itself where it has no name. */
export function named(family: string, word: string): string {
  const code = `${family}.${word}`;
  return code in en ? say(code as Code) : word.replaceAll('-', ' ');
}
