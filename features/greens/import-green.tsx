'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { GREEN_FILE_ENDING } from '@/core/green/geojson';
import { TakeFile } from '../form/take-file';
import { importGreenAction } from './actions';

/** Takes in a green as GeoJSON; of a file that another program wrote, what became what is said before the plan is opened. */
export function ImportGreen({ slug, greenId }: { slug: string; greenId: string }) {
  const router = useRouter();
  const [notes, setNotes] = useState<string[]>([]);
  const address = `/a/${slug}/greens/${greenId}`;
  return (
    <>
      <TakeFile
        label="File of a green"
        accept={`${GREEN_FILE_ENDING},.geojson,.json,application/geo+json,application/json`}
        take={(text) => importGreenAction(slug, greenId, text)}
        onTaken={(taken) => (taken.notes.length > 0 ? setNotes(taken.notes) : router.push(address))}
      />
      {notes.length > 0 && (
        <div role="status" className="panel w-100">
          {notes.map((note) => (
            <p key={note} className="mb-1">
              {note}
            </p>
          ))}
          <Link href={address} className="btn btn-primary mt-2">
            Look at the plan
          </Link>
        </div>
      )}
    </>
  );
}
