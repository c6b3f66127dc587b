import { useEffect, useRef } from 'react';

/** Ctrl Z and Ctrl Shift Z outside of text fields, which undo what is typed in them by themselves. */
export function useUndoKeys(undo: () => void, redo: () => void) {
  const latest = useRef({ undo, redo });
  useEffect(() => {
    latest.current = { undo, redo };
  });
  useEffect(() => {
    const keys = (event: KeyboardEvent) => {
      const inField = /^(INPUT|TEXTAREA)$/.test((event.target as HTMLElement).tagName);
      if (inField || !(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
      event.preventDefault();
      if (event.shiftKey) latest.current.redo();
      else latest.current.undo();
    };
    window.addEventListener('keydown', keys);
    return () => {
      window.removeEventListener('keydown', keys);
    };
  }, []);
}
