import { useEffect } from 'react';
import type { AnswerKey } from '@/core/game/scoring/answer-keys';

/** At a desk: H holed, 1 to 8 the keys that stand for a ring or a word, 0 outside, U undo. */
export function useAnswerKeys(active: boolean, keys: AnswerKey[], press: (key: AnswerKey) => void, undo: () => void) {
  useEffect(() => {
    if (!active) return;
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const letter = event.key.toLowerCase();
      const key =
        letter === 'h'
          ? keys.find(({ kind }) => kind === 'holed')
          : letter === '0'
            ? keys.find(({ kind }) => kind === 'outside')
            : keys.filter(({ kind }) => kind === 'ring' || kind === 'word')[Number(letter) - 1];
      if (key) press(key);
      else if (letter === 'u') undo();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
