import { IntlMessageFormat } from 'intl-messageformat';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it, vi } from 'vitest';
import en from './en.json';
import es from './es.json';
import { say } from './say';
import { setLanguage } from './language';

interface Element {
  type: number;
  value?: string;
  options?: Record<string, { value: Element[] }>;
}

const LITERAL = 0;

/** The names of the values a text needs, in whatever depth of its choices. */
function names(elements: Element[]): string[] {
  return elements.flatMap((one) => [
    ...(one.type !== LITERAL && one.value !== undefined ? [one.value] : []),
    ...Object.values(one.options ?? {}).flatMap((option) => names(option.value)),
  ]);
}

const needs = (text: string, language: string) =>
  [...new Set(names(new IntlMessageFormat(text, language, undefined, { ignoreTag: true }).getAst()))].sort();

function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((one) =>
    one.isDirectory()
      ? sources(join(folder, one.name))
      : /\.tsx?$/.test(one.name) && !/schema|\.test\./.test(one.name)
        ? [readFileSync(join(folder, one.name), 'utf8')]
        : [],
  );
}

describe('the catalogues', () => {
  it('hold the same texts in every language', () => {
    expect(Object.keys(es).sort()).toEqual(Object.keys(en).sort());
  });

  it('need the same values in every language', () => {
    const differing = Object.entries(en).filter(
      ([code, text]) =>
        needs(text, 'en').join() !== needs((es as Record<string, string>)[code] ?? '', 'es').join(),
    );
    expect(differing).toEqual([]);
  });

  it('write figures with the sign of the language, and leave what is written already', () => {
    vi.stubGlobal('document', { documentElement: { lang: '' } });
    setLanguage('es');
    expect(
      say('season-page.speciesname-leaf-leaf-part', { speciesName: '39.170', leaf: 1.5, part: '' }),
    ).toContain('39.170, 1,5');
    expect(say('compare-page.tree-on-the-side', { side: 'left' })).toBe('Árbol a la izquierda');
    expect(say('winters.smallsteps-small-steps-judged-then', { smallSteps: 1 })).toContain('1 paso pequeño');
    setLanguage('en');
    expect(say('winters.smallsteps-small-steps-judged-then', { smallSteps: 2 })).toContain('2 small steps');
  });

  it('tell a word that the code chooses in every language', () => {
    const chosen = sources('src').flatMap((source) =>
      [...source.matchAll(/say\(\s*'([^']+)',\s*\{([^{}]*)\}/g)].flatMap(([, code = '', values = '']) =>
        [...values.matchAll(/(\w+):[^,]*\?\s*'[a-z-]+'\s*:\s*'[a-z-]+'/g)].map(([, name = '']) => ({
          code,
          name,
        })),
      ),
    );
    expect(chosen.length).toBeGreaterThan(2);
    const bare = chosen.filter(
      ({ code, name }) => !(en as Record<string, string>)[code]?.includes(`{${name}, select`),
    );
    expect(bare).toEqual([]);
  });

  it('hold nothing that nobody says', () => {
    const code = sources('src').join('\n');
    // families whose members are named by a word of the format
    const families = [...code.matchAll(/named\(\s*'([\w-]+)'/g)].map((found) => found[1] ?? '');
    expect(families.filter((family) => !Object.keys(en).some((one) => one.startsWith(`${family}.`)))).toEqual(
      [],
    );
    const idle = Object.keys(en).filter(
      (one) => !families.includes(one.split('.')[0] ?? '') && !code.includes(`'${one}'`),
    );
    expect(idle).toEqual([]);
  });
});

describe('saying', () => {
  const inLanguage = (language: 'en' | 'es', speak: () => string) => {
    vi.stubGlobal('document', { documentElement: {} });
    setLanguage(language);
    return speak();
  };

  it('counts and fills in', () => {
    expect(inLanguage('en', () => say('field.trees', { count: 1 }))).toBe('1 tree');
    expect(inLanguage('es', () => say('field.trees', { count: 3 }))).toBe('3 árboles');
  });

  it('leaves a gap where a value is missing', () => {
    expect(inLanguage('en', () => say('field.others', { who: 'Ana', done: 'none' }))).toBe(
      'Ana was here too. Both visits are saved.',
    );
  });
});
