import type { AnswerKey } from '@/core/game/scoring/answer-keys';
import { useKeys } from '@/ui/use-keys';

/** At a desk: H holed, 0 outside, U undo; 1 to 9 the key on which that figure stands, where figures do, else that ring or word from the left. */
export function useAnswerKeys(active: boolean, keys: AnswerKey[], press: (key: AnswerKey) => void, undo: () => void) {
  const hear = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
    const letter = event.key.toLowerCase();
    const key =
      letter === 'h'
        ? keys.find(({ kind }) => kind === 'holed')
        : letter === '0'
          ? keys.find(({ kind }) => kind === 'outside')
          : numbered(keys)[Number(letter) - 1];
    if (key) press(key);
    else if (letter === 'u') undo();
  };
  useKeys(active ? hear : null);
}

/** The keys in the order of the figures by which they are pressed. */
function numbered(keys: readonly AnswerKey[]): (AnswerKey | undefined)[] {
  const figures = keys.map(({ text }) => Number.parseInt(text ?? '', 10));
  if (!figures.some(Number.isFinite)) return keys.filter(({ kind }) => kind === 'ring' || kind === 'word');
  return Array.from({ length: 9 }, (_, i) => keys[figures.indexOf(i + 1)]);
}
