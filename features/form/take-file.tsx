'use client';

import { useState } from 'react';
import type { Problem } from '@/core/problem';
import { ChooseFile } from './choose-file';
import type { Refused } from './result';
import { NOT_SENT } from './use-save';

type Props<Taken extends { ok: true }> = {
  /** What kind of file it is, for those who can't see the button. */
  label: string;
  accept: string;
  take: (text: string) => Promise<Taken | Refused>;
  onTaken: (taken: Taken) => void;
  /** What the button says. */
  words?: string;
};

/** Takes in a file from this device; what is wrong in it is listed with its place, and nothing is taken in then. */
export function TakeFile<Taken extends { ok: true }>({ label, accept, take, onTaken, words = 'Open a file' }: Props<Taken>) {
  const [problems, setProblems] = useState<{ file: string; list: Problem[] } | null>(null);
  const read = async (file: File) => {
    const result = await take(await file.text()).catch(() => null);
    if (result?.ok) {
      setProblems(null);
      return onTaken(result);
    }
    const fields = result ? Object.entries(result.fields) : [['', NOT_SENT] as const];
    setProblems({ file: file.name, list: fields.map(([path, message]) => ({ path, message })) });
  };
  return (
    <>
      <ChooseFile label={label} accept={accept} onFile={(file) => void read(file)}>
        {words}
      </ChooseFile>
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
