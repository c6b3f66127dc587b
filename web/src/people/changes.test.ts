import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { HoldingPage } from '../api/client';
import en from '../text/en.json';
import { calledIn, changeOf } from './changes';

const api = JSON.parse(readFileSync('../app/src/main/resources/openapi.json', 'utf8')) as {
  paths: Record<string, Record<string, unknown>>;
};
/** What only computes an answer is not written down. */
const COMPUTED =
  /assess|compare|measures\/sky|plantings\/(compare|field|household|outline|plan|rows)|preview|survey\/photographs|practice|reading|\/(limbs|marks|plans|schools|sheet|years)(\/|$)|plants\//;

describe('the trail of changes', () => {
  it('has a word for whatever the interface of the program can change', () => {
    const changing = Object.entries(api.paths)
      .filter(
        ([path, methods]) =>
          ['post', 'put', 'delete'].some((method) => method in methods) && !COMPUTED.test(path),
      )
      .map(([path]) => path.replaceAll(/\{\w+\}/g, '7'));
    expect(changing.length).toBeGreaterThan(30);
    const words = changing.map((path) => [path, changeOf(path).what]);
    expect(words.filter(([, what]) => what === null)).toEqual([]);
    expect(words.filter(([, what]) => !(`change.${what ?? ''}` in en))).toEqual([]);
  });

  it('names the tree or block it concerns', () => {
    const holding = {
      blocks: [{ id: 3, name: 'Hob Bank' }],
      trees: [{ id: 19, label: 'Hob Bank 1-5' }],
    } as unknown as HoldingPage;
    expect(calledIn(holding, changeOf('/api/trees/19/work').of)).toBe('Hob Bank 1-5');
    expect(calledIn(holding, changeOf('/api/blocks/3/pickings/8').of)).toBe('Hob Bank');
    expect(calledIn(holding, changeOf('/api/trees/99').of)).toBe('');
    expect(calledIn(undefined, changeOf('/api/crew/2').of)).toBe('');
  });

  it('leaves what it does not know to its path', () => {
    expect(changeOf('/api/elsewhere/1')).toEqual({ what: null, of: null });
  });
});
