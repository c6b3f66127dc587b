import { expect, it, vi } from 'vitest';
import { setLanguage } from '../text/language';
import { toolsRead } from './tools';

vi.stubGlobal('document', { documentElement: { lang: '' } });

it('tells tools in the language of the reader, whoever recorded them', () => {
  setLanguage('es');
  expect(toolsRead('hand pruner, lopper')).toBe('tijera, tijera de dos manos');
  setLanguage('en');
  expect(toolsRead('tijera, sierra')).toBe('hand pruner, saw');
});

it('leaves tools of one’s own as they were written', () => {
  setLanguage('en');
  expect(toolsRead('long-reach saw, Lopper')).toBe('long-reach saw, lopper');
  expect(toolsRead('')).toBe('');
});
