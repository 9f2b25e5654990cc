import { useEffect, useState } from 'react';
import { BallScreen } from './ball-screen';
import type { BallProps } from './one-ball';
import { recordBall } from './record';

/** The screen of a ball where `./record` is mocked: each ball that is recorded makes one more, as it does at the green. */
export function CountingScreen(props: BallProps) {
  const [more, setMore] = useState(0);
  useEffect(() => {
    jest.mocked(recordBall).mockImplementation(async () => {
      setMore((now) => now + 1);
      return true;
    });
  }, []);
  return <BallScreen {...props} balls={props.balls + more} />;
}
