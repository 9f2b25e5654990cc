'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { counted } from '@/core/units/format';
import { TakeFile } from '../form/take-file';
import { removeOwnTable, saveOwnTable } from './actions';

type Props = { slug: string; own: { name: string; skills: number } | null };

/** The coach's own yardstick: a table of expected strokes by skill, taken in from a file. */
export function OwnTable({ slug, own }: Props) {
  const router = useRouter();
  const [name, setName] = useState('our table');
  return (
    <section className="d-grid gap-2 mt-5">
      <h2 className="mb-0">Your own reference table</h2>
      <p className="mb-0">
        The levels come from a simulation with judged constants. If you have better figures, enter the strokes each shot takes to hole out,
        and compare with those instead. Begin from <a href={`/a/${slug}/reference?level=10`}>the table of level 10</a>, change it, and open
        it here. Shots that are left out keep the level’s.
      </p>
      {own && (
        <p className="mb-0">
          <b>“{own.name}”</b> holds {counted(own.skills, 'skill')}. <a href={`/a/${slug}/reference`}>Save it as a file</a>{' '}
          <Button
            variant="link"
            onClick={() => {
              void removeOwnTable(slug).then(() => router.refresh());
            }}
          >
            Remove it
          </Button>
        </p>
      )}
      <div className="d-flex flex-wrap gap-2 align-items-center">
        <label htmlFor="table-name">Called</label>
        <input
          id="table-name"
          className="form-control"
          style={{ width: '14rem' }}
          maxLength={40}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <TakeFile
          label="A reference table"
          accept=".csv,text/csv"
          take={(text) => saveOwnTable(slug, name, text)}
          onTaken={() => router.refresh()}
        />
      </div>
    </section>
  );
}
