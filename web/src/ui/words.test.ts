import { afterEach, describe, expect, it, vi } from 'vitest';
import { setLanguage } from '../text/language';
import { listed } from './words';

describe('things in a row', () => {
  afterEach(() => {
    setLanguage('en');
    vi.unstubAllGlobals();
  });

  it('are joined as the language joins them', () => {
    vi.stubGlobal('localStorage', { setItem: () => undefined, getItem: () => null });
    vi.stubGlobal('document', { documentElement: { lang: '' } });
    setLanguage('en');
    expect(listed(['limb 6', 'limb 7'])).toBe('limb 6 and limb 7');
    setLanguage('es');
    expect(listed(['rama 6', 'rama 7', 'rama 9'])).toBe('rama 6, rama 7 y rama 9');
    expect(listed([])).toBe('');
  });
});
