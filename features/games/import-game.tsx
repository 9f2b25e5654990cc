'use client';

import { useRouter } from 'next/navigation';
import { GAME_FILE_ENDING } from '@/core/game/file';
import { TakeFile } from '../form/take-file';
import { importGameAction } from './actions';

/** Takes in a game file from this device. */
export function ImportGame({ slug, gameId }: { slug: string; gameId: string }) {
  const router = useRouter();
  return (
    <TakeFile
      label="Game file"
      accept={`${GAME_FILE_ENDING},.json,application/json`}
      take={(text) => importGameAction(slug, gameId, text)}
      onTaken={() => router.push(`/a/${slug}/games/${gameId}`)}
    />
  );
}
