import { useEffect, useState } from 'react';
import { subscribeStore } from './store';

/**
 * What a question to the device's store answers, asked again whenever the store changes; undefined before the first
 * answer.
 * @param ask has to stay the same as long as the question does
 */
export function useStored<T>(ask: () => Promise<T>): T | undefined {
  const [answer, setAnswer] = useState<{ ask: unknown; value: T }>();
  useEffect(() => {
    let current = true;
    let asked = 0;
    const look = () => {
      const mine = ++asked;
      void ask().then((value) => {
        // An answer that a newer one has overtaken is not shown.
        if (current && mine === asked) setAnswer({ ask, value });
      });
    };
    look();
    const stop = subscribeStore(look);
    return () => {
      current = false;
      stop();
    };
  }, [ask]);
  return answer?.ask === ask ? answer.value : undefined;
}
