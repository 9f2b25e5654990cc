import type { SavedGreen } from '@/server/data';

/** What saving did to the games. */
export function SavedNote({ saved }: { saved: SavedGreen }) {
  return (
    <div role="status" className="mt-2">
      <p className="mb-1">Saved as version {saved.version}.</p>
      {saved.followed.map(({ title, version, isNew }) => (
        <p key={title} className="mb-1">
          {title} followed{isNew ? `: it has results, so it is version ${version} now.` : '.'}
        </p>
      ))}
      {saved.kept.map(({ title, reason }) => (
        <p key={title} className="mb-1 text-danger fw-semibold">
          {title} keeps its stations as they were. {reason}
        </p>
      ))}
    </div>
  );
}
