'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import type { Problem } from '@/core/formats/problem';
import { GAME_FILE_ENDING } from '@/core/game/file';
import { NOT_SENT } from '../form/use-save';
import { importGameAction } from './actions';


/** Takes in a game file from this device; what is wrong in it is listed with its place, and nothing is taken in then. */
export function ImportGame({ slug, gameId }: { slug: string; gameId: string }) {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [problems, setProblems] = useState<{ file: string; list: Problem[] } | null>(null);
  const take = async (file: File) => {
    const result = await importGameAction(slug, gameId, await file.text()).catch(() => null);
    if (result?.ok) router.push(`/a/${slug}/games/${gameId}`);
    else {
      const fields = result ? Object.entries(result.fields) : [['', NOT_SENT] as const];
      setProblems({ file: file.name, list: fields.map(([path, message]) => ({ path, message })) });
    }
  };
  return (
    <>
      <input
        ref={input}
        type="file"
        hidden
        aria-label="Game file"
        accept={`${GAME_FILE_ENDING},.json,application/json`}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void take(file);
        }}
      />
      <Button variant="outline-dark" onClick={() => input.current?.click()}>
        Open a file
      </Button>
      {problems && (
        <div role="alert" className="alert alert-danger w-100 mb-0">
          <p className="fw-semibold mb-1">“{problems.file}” was not taken in:</p>
          <ul className="mb-0">
            {problems.list.slice(0, 12).map(({ path, message }) => (
              <li key={path + message}>
                {path && <b>{path}: </b>}
                {message}
              </li>
            ))}
            {problems.list.length > 12 && <li>and {problems.list.length - 12} more</li>}
          </ul>
        </div>
      )}
    </>
  );
}
